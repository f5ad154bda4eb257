<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'

/** How far and how long: the distance between lanes, the pace, the way. */
const { sheet } = useSheet()
const shown = useShown()
const minutes = computed(() => ({ figure: formatMinutes(sheet.value.walk?.seconds ?? 0), unit: 'min' }))
</script>

<template>
  <dl v-if="sheet.walk && sheet.calibration">
    <dt>Lanes apart</dt>
    <dd class="figure"><FigureText :shown="shown.distance(sheet.calibration.width)" /></dd>
    <template v-if="sheet.calibration.speedToday">
      <dt>Pace</dt>
      <dd class="figure"><FigureText :shown="shown.speed(sheet.calibration.speedToday)" /></dd>
    </template>
    <dt>Walk</dt>
    <dd class="figure"><FigureText :shown="minutes" page="walk" label="Walk" /></dd>
    <dd class="soft small"><FigureText :shown="shown.distance(sheet.walk.distance)" /></dd>
  </dl>
</template>

<style scoped>
dt {
  font-size: 13.5px;
  margin-top: 6px;
}
dt:first-child {
  margin-top: 0;
}
</style>
