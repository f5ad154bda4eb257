<script setup lang="ts">
import { arranged } from '#core/ground/siteLayout'
import type { MappedArea } from '#core/ground/siteMap'
import { parseNumber } from '#core/quantity/parseNumber'

/**
 * Moving and turning what is known only by its dimensions, so that the plan looks like the place; no figure
 * changes.
 */
const props = defineProps<{
  areas: readonly MappedArea[]
  selected: string | undefined
  /** Whether the shapes of the chosen area are moved one by one. */
  apart: boolean
}>()
const emit = defineEmits<{
  select: [id: string]
  apart: [apart: boolean]
  arrange: [places: ReturnType<typeof arranged>]
}>()
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
const pieces = computed(() => chosen.value?.shapes.filter(({ place }) => place).length ?? 0)
const now = computed(() => chosen.value?.shapes.find(({ place }) => place)?.place?.turn ?? 0)
const angle = ref('')
const wrong = ref(false)
watch(
  now,
  (turn) => {
    angle.value = String(Math.round(turn * 10) / 10)
    wrong.value = false
  },
  { immediate: true },
)
function turnTo() {
  const read = parseNumber(angle.value.replace('°', ''))
  wrong.value = !read.ok || Math.abs(read.value) > 360
  if (read.ok && !wrong.value) by(0, 0, read.value - now.value)
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
      Areas known only by their dimensions are drawn to scale with broken lines. Drag one where it lies; near
      another it comes to touch it. Turn it by its handle or by a typed angle, or choose it and use the arrow
      keys (Shift for 10 m). Sizes stay.
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
    <template v-if="chosen">
      <TickField
        v-if="pieces > 1"
        label="Move its shapes one by one"
        :ticked="apart"
        @change="emit('apart', $event)"
      />
      <form class="flex items-end gap-2" @submit.prevent="turnTo">
        <LabelledField label="Turned clockwise by" class="w-36">
          <UFieldGroup class="w-full"
            ><UInput v-model="angle" inputmode="decimal" maxlength="7" class="min-w-0 flex-1" /><span
              class="degrees"
              aria-hidden="true"
              >°</span
            ></UFieldGroup
          >
        </LabelledField>
        <UButton type="submit" label="Turn" />
      </form>
      <p v-if="wrong" class="small wrong" role="alert">
        An angle is a figure such as 12.5, from -360 to 360.
      </p>
      <p class="flex flex-wrap gap-2">
        <UButton
          v-for="[label, degrees] in STEPS"
          :key="label"
          size="sm"
          :label="label"
          @click="by(0, 0, degrees)"
        />
      </p>
    </template>
  </div>
</template>

<style scoped>
.degrees {
  padding: 6px 10px;
  border: var(--rule-width) solid var(--field-rule);
  border-left: 0;
  border-radius: 0 3px 3px 0;
}
.wrong {
  color: var(--stop);
  font-weight: 600;
}
[aria-pressed='true'] {
  color: var(--action);
}
</style>
