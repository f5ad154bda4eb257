<script setup lang="ts">
import { showQuantity } from '#core/quantity/systems'
import { speedSi } from '#core/quantity/quantity'
import type { RunStep } from '#core/run/steps/runSteps'

/** A pass, or the part of it up to the next checkpoint: dial, pace and lanes. */
const { step } = defineProps<{ step: Extract<RunStep, { kind: 'pass' }> }>()
const { frozen, progress, done, document } = useRunScreen()
const lanes = useStretch(() => step)
const shown = useShown()
const worked = computed(() => frozen.value.worked)
const group = computed(() => (step.load === 0 ? undefined : frozen.value.plan.rates?.[step.load - 1]))
const dial = computed(() => progress.value.setting.dial ?? worked.value?.dial?.setting)
const planned = computed(() => worked.value?.dial?.setting)
const pace = computed(() => {
  const { setting } = progress.value
  return setting.pace ? speedSi(setting.pace) : worked.value?.calibration?.speedToday
})
const swath = computed(() => worked.value?.calibration?.width)
const lawns = computed(() =>
  (group.value?.areas ?? frozen.value.request.areas.map(({ id }) => id))
    .map((id) => frozen.value.request.areas.find((area) => area.id === id)?.name || 'a lawn')
    .join(', '),
)
const title = computed(() =>
  step.passes === 1
    ? 'Spread it'
    : step.pass === 1
      ? 'First pass'
      : step.pass === 2
        ? 'Second pass, across'
        : `Pass ${step.pass}`,
)
const shut = computed(() => document.value.lanes?.shutSide ?? '')
</script>

<template>
  <RunFrame
    :title="title"
    :action="step.to > 0.999 ? 'This pass is done' : 'I am at the checkpoint'"
    @act="done()"
  >
    <p class="dial">
      <span class="soft">dial</span> <strong>{{ dial ?? 'not known' }}</strong>
      <span v-if="dial !== planned && planned" class="soft was">was {{ planned }}</span>
    </p>
    <p v-if="!dial">
      Start low: no calibration says where the dial belongs. Weigh what is left after the first lanes.
    </p>
    <RunRow word="lawn" :text="lawns" />
    <RunRow v-if="swath" word="lanes apart" :shown="shown.distance(swath)" />
    <RunRow
      v-if="group"
      word="at"
      :text="
        group.products.map(({ rate }) => `${showQuantity(rate).figure} ${showQuantity(rate).unit}`).join(', ')
      "
    />
    <PaceBeat v-if="pace" :pace="pace" />
    <RunLanes :lanes="lanes" />
    <p class="soft">
      Walk before the gate opens, shut it before you turn. Edges first, with the
      {{
        shut
          ? `deflector down on your ${shut}`
          : 'lower-throw side or the deflector to beds, paving and water'
      }}. Keep walking: nobody stops over an open gate.
    </p>
  </RunFrame>
</template>

<style scoped>
.dial {
  font-size: 22px;
  padding-bottom: 10px;
}
.dial strong {
  font-size: 64px;
  line-height: 1.05;
}
.was {
  padding-left: 10px;
}
</style>
