<script setup lang="ts">
import { arranged } from '#core/ground/siteLayout'
import type { MappedArea } from '#core/ground/siteMap'

/**
 * Moving and turning what is known only by its dimensions, so that the plan looks like the place; no figure
 * changes.
 */
const props = defineProps<{ areas: readonly MappedArea[]; selected: string | undefined }>()
const emit = defineEmits<{ select: [id: string]; arrange: [places: ReturnType<typeof arranged>] }>()
const loose = computed(() => props.areas.filter(({ shapes }) => shapes.some(({ place }) => place)))
const chosen = computed(() => props.areas.find(({ id }) => id === props.selected))
const STEPS = [
  ['Turn left 15°', -15],
  ['left 1°', -1],
  ['right 1°', 1],
  ['right 15°', 15],
] as const
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
}
const by = (dx: number, dy: number, turn: number) => {
  if (chosen.value) emit('arrange', arranged(chosen.value.shapes, { dx, dy, turn }))
}
function nudge(event: KeyboardEvent) {
  const arrow = ARROWS[event.key]
  if (!arrow) return
  event.preventDefault()
  const metres = event.shiftKey ? 10 : 0.5
  by(arrow[0] * metres, arrow[1] * metres, 0)
}
</script>

<template>
  <div class="space-y-2">
    <p class="small">
      Areas known only by their dimensions are drawn to scale with broken lines. Drag one where it lies, or
      choose it and use the arrow keys (Shift for 10 m). Sizes stay.
    </p>
    <p v-if="loose.length === 0" class="soft small">Every area of this site lies where it is.</p>
    <ul>
      <li v-for="area in loose" :key="area.id" class="py-1">
        <UButton
          variant="link"
          size="sm"
          :aria-pressed="area.id === selected"
          @click="emit('select', area.id)"
          @keydown="area.id === selected && nudge($event)"
        >
          {{ area.name || 'Unnamed area' }}
        </UButton>
      </li>
    </ul>
    <p v-if="chosen" class="flex flex-wrap gap-2">
      <UButton
        v-for="[label, degrees] in STEPS"
        :key="label"
        size="sm"
        :label="label"
        @click="by(0, 0, degrees)"
      />
    </p>
  </div>
</template>

<style scoped>
[aria-pressed='true'] {
  color: var(--action);
}
</style>
