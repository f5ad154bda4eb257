<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { counted } from '#core/quantity/counting'
import type { Point } from '#core/ground/plane'
import { siteLayout } from '#core/ground/siteLayout'
import { isOnTreated, treatedLawns } from '#core/run/treatedGround'

/** Weeds and patches that were treated, pressed on the plan, or put at the middle of it by key. */
const open = defineModel<boolean>('open', { required: true })
const { record, progress, keep } = useRunScreen()
const library = useLibraryStore()
const map = useTemplateRef<{ middle: () => Point | undefined }>('map')
const layout = computed(() => siteLayout(treatedLawns(record.value)))
const shapes = computed(() =>
  layout.value.shapes.map(({ partId, rings, sign, place }) => ({
    key: partId,
    rings,
    sign,
    schematic: place !== undefined,
    tone: 'own' as const,
  })),
)
const before = computed(() => (progress.value.spots ?? []).map(({ at }) => at))
const marked = ref<readonly Point[]>([])
const all = computed(() => [...before.value, ...marked.value])
const problem = ref('')
function mark(at: Point | undefined) {
  if (!at) return
  problem.value = isOnTreated(layout.value, at)
    ? ''
    : 'That lies beside the lawns of this run: press on one of them.'
  if (problem.value === '') marked.value = [...marked.value, at]
}
async function save() {
  await keep(marked.value.map(([x, y]) => ({ kind: 'spot', payload: { id: uuid(), at: [x, y] } })))
  open.value = false
}
</script>

<template>
  <UModal
    v-model:open="open"
    fullscreen
    title="Spots that were treated"
    description="Press where each was; they stand on the record’s map."
  >
    <template #body>
      <SiteMap
        ref="map"
        :bounds="layout.bounds"
        :bearing="library.anchor?.bearing ?? 0"
        label="Plan to mark spots on"
        tall="60vh"
        @click="mark"
      >
        <MapShapes :shapes="shapes" />
        <MapMarks :samples="all" />
      </SiteMap>
      <p class="pt-2" aria-live="polite">{{ counted(all.length, 'spot') }} marked.</p>
      <p v-if="problem" role="alert" class="text-(--stop)">{{ problem }}</p>
      <UButton
        class="mt-2"
        variant="link"
        label="Mark the middle of what is seen"
        @click="mark(map?.middle())"
      />
    </template>
    <template #footer>
      <UButton
        size="xl"
        label="Not the last"
        :disabled="marked.length === 0"
        @click="marked = marked.slice(0, -1)"
      />
      <UButton
        size="xl"
        color="primary"
        variant="solid"
        label="Keep them"
        :disabled="marked.length === 0"
        @click="save"
      />
    </template>
  </UModal>
</template>
