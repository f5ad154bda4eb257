<script setup lang="ts">
import type { GateQuestion } from '#core/run/gate/gateReadings'
import type { Gate } from '~/composables/run/useGate'

/** What only eyes can tell at the gate. */
const { gate } = defineProps<{ gate: Gate }>()
const { readings, limits, take } = gate
const EYES: readonly (readonly [GateQuestion, string])[] = [
  ['people', 'People and pets are off the lawn'],
  ['bees', 'No bees on flowering weeds'],
  ['notices', 'Notices are up'],
  ['equipment', 'Machine checked'],
  ['gear', 'Protective gear is on'],
  ['label', 'Label at hand'],
]
const eyes = computed(() => EYES.filter(([name]) => name !== 'bees' || limits.value.kinds.length > 0))
const choices = <V extends string>(...values: readonly V[]) => values.map((value) => ({ value, text: value }))
const YES_NO = choices('yes', 'no')
const LEAF = choices('dry', 'wet')
const GROUND = choices('dry', 'moist', 'soaked')
</script>

<template>
  <div class="asked">
    <RadioField label="Leaf" :value="readings.leaf" :choices="LEAF" @change="take({ leaf: $event })" />
    <RadioField
      label="Ground"
      :value="readings.ground"
      :choices="GROUND"
      @change="take({ ground: $event })"
    />
    <RadioField
      v-for="[name, words] in eyes"
      :key="name"
      :label="words"
      :value="readings.answers[name]"
      :choices="YES_NO"
      @change="take({ answers: { ...readings.answers, [name]: $event } })"
    />
  </div>
</template>

<style scoped>
.asked {
  padding-top: 6px;
}
.asked > * {
  padding: 8px 0;
  border-bottom: var(--rule-width) solid var(--rule);
}
.asked :deep(fieldset) {
  display: flex;
  flex-wrap: nowrap;
  align-items: center;
  gap: 4px 22px;
  min-height: 48px;
}
.asked :deep(legend) {
  float: left;
  flex: 1 1 auto;
  min-width: 0;
  font-size: 17px;
  color: var(--ink);
  margin: 0;
}
</style>
