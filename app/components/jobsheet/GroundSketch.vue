<script setup lang="ts">
/** The treated lawns of the application, drawn to scale. */
const { sheet, document } = useSheet()
let drawnFrom: unknown
type Lawns = typeof sheet.value.lawns
const lawns = computed<Lawns>((before) => {
  if (before && drawnFrom === document.value.lawns) return before
  drawnFrom = document.value.lawns
  return sheet.value.lawns.filter(({ treated, size }) => treated === 'yes' && size !== undefined)
})
</script>

<template>
  <PlanSketch :lawns="lawns" :method="document.method" />
</template>
