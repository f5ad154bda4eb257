<script setup lang="ts">
import type { LawnPart, OutlineNote } from '#core/ground/areaShape'

/**
 * An outline in field notes: how it came, how many corners it has, and what can be done to it on the plan.
 */
const props = defineProps<{ part: LawnPart; path: string }>()
const { set, locked, problemAt } = useForm()
const editor = useOutlineEditor()
const showCorners = ref(false)
const outline = computed<OutlineNote>(
  () => props.part.outline ?? { from: 'drawn', points: [], pointError: { text: '', unit: 'm' }, origin: '' },
)
const inHand = computed(() => editor?.selected.value === props.part.id)
const problem = computed(() => problemAt(`${props.path}.outline`))
</script>

<template>
  <div class="pt-1">
    <p v-if="!editor || locked" class="small soft">
      {{
        outline.points.length === 0
          ? 'No corners yet.'
          : `${outline.points.length} corners${outline.origin ? `; ${outline.origin}` : ''}.`
      }}
      Its outline is changed on the site’s plan.
    </p>
    <p v-else class="row small">
      <span class="soft">{{
        outline.points.length === 0
          ? 'No corners yet.'
          : `${outline.points.length} corners${outline.origin ? `; ${outline.origin}` : ''}.`
      }}</span>
      <UButton
        variant="link"
        size="sm"
        :aria-pressed="inHand && editor.task.value === 'draw'"
        @click="editor.begin(part.id, 'draw')"
      >
        {{ outline.points.length > 0 ? 'Draw anew' : 'Draw' }}
      </UButton>
      <UButton
        variant="link"
        size="sm"
        :aria-pressed="inHand && editor.task.value === 'walk'"
        @click="editor.begin(part.id, 'walk')"
      >
        Walk it
      </UButton>
      <UButton
        variant="link"
        size="sm"
        :aria-pressed="inHand && editor.task.value === 'file'"
        @click="editor.begin(part.id, 'file')"
      >
        From a file
      </UButton>
      <UButton
        v-if="outline.points.length > 0 && !inHand"
        variant="link"
        size="sm"
        @click="editor.begin(part.id, 'edit')"
      >
        Change its corners
      </UButton>
      <UButton variant="link" size="sm" :aria-expanded="showCorners" @click="showCorners = !showCorners">
        {{ showCorners ? 'Hide sides' : 'Type its sides' }}
      </UButton>
      <slot />
    </p>
    <CornerTable
      v-if="showCorners && !locked"
      :points="outline.points"
      @change="set(`${path}.outline.points`, $event)"
    />
    <p
      v-if="problem && (problem.kind === 'wrong' || outline.points.length > 0)"
      class="problem small"
      role="alert"
    >
      {{ problem.message }}
    </p>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.row [aria-pressed='true'] {
  color: var(--action);
}
.problem {
  color: var(--stop);
  font-weight: 600;
}
</style>
