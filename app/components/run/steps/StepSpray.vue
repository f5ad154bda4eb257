<script setup lang="ts">
import { areaSi, speedSi } from '#core/quantity/quantity'
import { showQuantity } from '#core/quantity/systems'
import { enteredWords } from '#core/quantity/enteredWords'
import { CARRIED } from '#core/run/common/commonLoads'
import type { RunStep } from '#core/run/steps/runSteps'

/** Spray a load: pace, pressure and where the lanes lie. */
const { step } = defineProps<{ step: Extract<RunStep, { kind: 'spray' }> }>()
const { frozen, progress, document, done } = useRunScreen()
const lanes = useStretch(() => step)
const shown = useShown()
const calibration = computed(() => frozen.value.worked?.calibration)
const pace = computed(() => {
  const { setting } = progress.value
  return setting.pace ? speedSi(setting.pace) : calibration.value?.speedToday
})
const pressure = computed(() => enteredWords(document.value.spray.calibration.pressure))
const carrier = computed(() =>
  frozen.value.request.method.kind === 'spray' ? frozen.value.request.method.carrier : undefined,
)
const title = computed(() => {
  if (step.load.number === CARRIED) return 'Spray what came along'
  return step.loads === 1 ? 'Spray it' : `Spray load ${step.load.number}`
})
const lawns = computed(() =>
  (step.load.areas ?? frozen.value.request.areas.map(({ id }) => id))
    .map((id) => frozen.value.request.areas.find((area) => area.id === id)?.name || 'a lawn')
    .join(', '),
)
</script>

<template>
  <RunFrame :title="title" :action="step.then === 'rest' ? 'All covered' : 'The tank is out'" @act="done()">
    <RunRow word="lawn" :text="lawns" />
    <RunRow word="this load covers" :shown="shown.size(areaSi(step.load.size))" />
    <RunRow v-if="carrier" word="carrier" :shown="showQuantity(carrier)" />
    <RunRow v-if="pressure" word="pressure" :text="pressure" />
    <RunRow v-if="calibration" word="lanes apart" :shown="shown.distance(calibration.width)" />
    <PaceBeat v-if="pace" :pace="pace" />
    <RunLanes :lanes="lanes" />
    <p class="soft">
      Agitate all the time. Boom level and low, off at the turns, away from the downwind edge. Stop when
      people, wind or rain come.
    </p>
  </RunFrame>
</template>
