<script setup lang="ts">
import { placesOf } from '#core/ground/siteLayout'

/** The treated lawns of the application, drawn to scale. */
const { sheet, document } = useSheet()
let drawnFrom: unknown
type Lawns = InstanceType<(typeof import('../../map/SiteSketch.vue'))['default']>['$props']['lawns']
const lawns = computed<Lawns>((before) => {
  if (before && drawnFrom === document.value.lawns) return before
  drawnFrom = document.value.lawns
  return sheet.value.lawns.flatMap(({ id, name, treated, size, parts }, i) =>
    treated === 'yes' && size !== undefined
      ? [{ id, name, parts, places: placesOf(document.value.lawns[i]?.parts ?? []) }]
      : [],
  )
})
</script>

<template>
  <SiteSketch :lawns="lawns" :method="document.method" />
</template>
