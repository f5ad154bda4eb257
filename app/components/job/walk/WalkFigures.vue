<script setup lang="ts">
import { formatMinutes } from '#core/quantity/format'

/** How far and how long: the distance between lanes, the pace, the way; by its lanes where they are known. */
const { document, sheet, lanes } = useSheet()
const shown = useShown()
/** Another spacing than the calibrated one changes the rate, and shows how. */
const spaced = computed(() => (document.value.lanes?.apart.text.trim() ?? '') !== '')
const whole = computed(() => lanes.worked.value?.lanes)
const minutes = computed(() => ({
  figure: formatMinutes(whole.value?.seconds ?? sheet.value.walk?.seconds ?? 0),
  unit: 'min',
}))
</script>

<template>
  <dl v-if="sheet.walk && sheet.calibration" class="walk-figures">
    <div>
      <dt>Lanes apart</dt>
      <dd class="figure">
        <FigureText
          :shown="shown.distance(sheet.calibration.width)"
          :page="spaced ? 'calibration.spacing' : undefined"
          label="Lanes apart"
        />
      </dd>
    </div>
    <div v-if="sheet.calibration.speedToday">
      <dt>Pace</dt>
      <dd class="figure"><FigureText :shown="shown.speed(sheet.calibration.speedToday)" /></dd>
    </div>
    <div v-if="whole">
      <dt>Lanes, turns</dt>
      <dd class="figure">{{ whole.count }}, {{ whole.turns }}</dd>
    </div>
    <div>
      <dt>To walk</dt>
      <dd class="figure">
        <FigureText
          :shown="shown.distance(whole?.metres ?? sheet.walk.distance)"
          :page="whole ? 'lanes' : 'walk'"
          label="To walk"
        />
      </dd>
    </div>
    <div>
      <dt>{{ whole ? 'On foot, turns in it' : 'On foot, without turns' }}</dt>
      <dd class="figure"><FigureText :shown="minutes" :page="whole ? 'lanes' : 'walk'" label="On foot" /></dd>
    </div>
  </dl>
</template>

<style scoped>
.walk-figures {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 26px;
}
dt {
  font-size: 13.5px;
}
</style>
