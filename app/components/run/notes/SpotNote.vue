<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { counted } from '#core/quantity/counting'
import type { Point } from '#core/ground/plane'
import { siteLayout } from '#core/ground/siteLayout'
import { treatedLawns } from '#core/run/treatedGround'

/** Weeds and patches that were treated, pressed on the plan one after the other. */
const open = defineModel<boolean>('open', { required: true })
const { record, progress, keep } = useRunScreen()
const library = useLibraryStore()
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
async function save() {
  await keep(marked.value.map((at) => ({ kind: 'spot', payload: { id: uuid(), at: [at[0], at[1]] } })))
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
        :bounds="layout.bounds"
        :bearing="library.anchor?.bearing ?? 0"
        label="Plan to mark spots on"
        tall="60vh"
        @click="marked = [...marked, $event]"
      >
        <MapShapes :shapes="shapes" />
        <MapMarks :samples="all" />
      </SiteMap>
      <p class="pt-2" aria-live="polite">{{ counted(all.length, 'spot') }} marked.</p>
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
