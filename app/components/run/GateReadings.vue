<script setup lang="ts">
import { SPEED_UNITS, TEMPERATURE_UNITS } from '#core/quantity/units'
import type { Gate } from '~/composables/run/useGate'

/** What an instrument or a station tells at the gate. */
const { gate } = defineProps<{ gate: Gate }>()
const { readings, limits, take } = gate
const problem = (path: string) => gate.problems.value.find((one) => one.path === path)?.message
</script>

<template>
  <div class="pair">
    <QuantityField
      v-for="[path, label] in [
        ['wind', 'Wind'],
        ['gust', 'Gusts'],
      ] as const"
      :key="path"
      :path="path"
      :label="label"
      kind="speed"
      :entered="readings[path]"
      :units="SPEED_UNITS"
      :problem="problem(path)"
      @change="take({ [path]: $event })"
    />
    <QuantityField
      v-for="[path, label] in [
        ['air', 'Air'],
        ['soil', 'Soil'],
      ] as const"
      :key="path"
      :path="path"
      :label="label"
      kind="temperature"
      :entered="readings[path]"
      :units="TEMPERATURE_UNITS"
      :problem="problem(path)"
      @change="take({ [path]: $event })"
    />
    <QuantityField
      path="rainIn"
      label="Rain told in"
      kind="time"
      :entered="readings.rainIn"
      :units="['h', 'min', 'd']"
      :problem="problem('rainIn')"
      @change="take({ rainIn: $event })"
    />
    <QuantityField
      path="rained"
      label="Rain since yesterday"
      kind="length"
      :entered="readings.rained"
      :units="['in', 'mm']"
      :problem="problem('rained')"
      @change="take({ rained: $event })"
    />
    <QuantityField
      v-if="limits.mowBeforeHours !== undefined"
      path="mown"
      label="Mown ago"
      kind="time"
      :entered="readings.mown"
      :units="['h', 'd']"
      :problem="problem('mown')"
      @change="take({ mown: $event })"
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
