<script setup lang="ts">
import type { JobQuestion } from '#core/job/workOutJob'
import type { FrozenPlan } from '#core/run/runEvent'
import type { Variant } from '#core/job/compare/compareVariants'
import type { ApplicationDraft } from '#core/draft/applicationShape'

/**
 * One variant of an application, worked out with the same checks as its sheet; what stands inside can change
 * it.
 */
const props = defineProps<{
  applications: JobQuestion['applications']
  index: number
  plannedFor: string
  locked: boolean
  frozen?: FrozenPlan | undefined
}>()
const emit = defineEmits<{ change: [document: ApplicationDraft]; worked: [variant: Variant] }>()
const { document, sheet, lanes } = provideSheet({
  applications: () => props.applications,
  index: () => props.index,
  change: (changed) => emit('change', changed),
  locked: () => props.locked,
  plannedFor: () => props.plannedFor,
  frozen: () => props.frozen,
})
watch(
  [document, sheet, lanes.worked],
  () =>
    emit('worked', {
      document: document.value,
      sheet: sheet.value,
      cost: sheet.value.cost?.whole,
      lanes: lanes.worked.value?.lanes,
    }),
  { immediate: true },
)
</script>

<template>
  <div class="space-y-4"><slot /></div>
</template>
