<script setup lang="ts">
import { COMPASS_POINTS } from '#core/ground/compass'
import type { Entered } from '#core/quantity/entered'
import { GATE_FIELDS } from '#core/run/gate/gateFields'
import type { Gate } from '~/composables/run/useGate'

/** What an instrument or a station tells at the gate. */
const { gate } = defineProps<{ gate: Gate }>()
const { readings, limits, take } = gate
/** How long ago it was mown matters where a label says so. */
const shown = computed(() =>
  (['wind', 'gust', 'air', 'soil', 'rainIn', 'rained', 'mown'] as const).filter(
    (name) => name !== 'mown' || limits.value.mowBeforeHours !== undefined,
  ),
)
const POINTS = [
  { value: '', text: 'not noted' },
  ...COMPASS_POINTS.map((value) => ({ value, text: value })),
] as const
const problem = (path: string) => gate.problems.value.find((one) => one.path === path)?.message
</script>

<template>
  <div class="pair">
    <QuantityField
      v-for="name in shown"
      :key="name"
      :path="name"
      :field="GATE_FIELDS[name]"
      :entered="readings[name] as Entered"
      :problem="problem(name)"
      @change="take({ [name]: $event })"
    />
    <ChoiceField
      label="Wind from"
      :value="readings.windFrom ?? ''"
      :choices="POINTS"
      @change="take({ windFrom: $event })"
    />
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px;
}
</style>
