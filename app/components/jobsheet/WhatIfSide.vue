<script setup lang="ts">
import type { Variant } from '#core/jobsheet/compareSheets'
import type { ApplicationDocument } from '#core/jobsheet/document'

/**
 * One variant of an application, worked out with the same checks as its sheet; what stands inside can change
 * it.
 */
const props = defineProps<{ document: ApplicationDocument; plannedFor: string; locked: boolean }>()
const emit = defineEmits<{ change: [document: ApplicationDocument]; worked: [variant: Variant] }>()
const rooms = useRoomsStore()
const { document, sheet, cost } = provideSheet({
  document: () => props.document,
  change: (changed) => emit('change', changed),
  locked: () => props.locked,
  plannedFor: () => props.plannedFor,
  rooms: () => {
    const { id } = props.document[props.document.method].source ?? {}
    return {
      areas: rooms.areas,
      history: rooms.history,
      products: rooms.products,
      calibrations:
        id === undefined ? undefined : rooms.calibrations.filter(({ equipmentId }) => equipmentId === id),
    }
  },
})
watch(
  [document, sheet, cost],
  () => emit('worked', { document: document.value, sheet: sheet.value, cost: cost.value?.whole }),
  { immediate: true },
)
</script>

<template>
  <div class="space-y-4"><slot /></div>
</template>
