<script setup lang="ts">
/** What the loads are made in: the tank and how it is filled, or what stays in the hopper. */
const { document } = useSheet()
const loadStyles = [
  { value: 'full-then-part', text: 'full loads, then a part' },
  { value: 'equal', text: 'equal loads' },
  { value: 'by-area', text: 'ending where lawns end' },
] as const
const sharing = [
  { value: '', text: 'for this site alone' },
  { value: 'day', text: 'one mix with the day’s others' },
] as const
</script>

<template>
  <div class="fields">
    <QuantityField v-if="document.method === 'spread'" path="spread.reserve" />
    <template v-else>
      <QuantityField
        path="spray.tank"
        :label="document.spray.calibration.by === 'hose-end' ? 'Bottle, filled to' : 'Tank, filled to'"
      />
      <QuantityField path="spray.dead" />
      <QuantityField path="spray.agitate" />
      <ChoiceField path="spray.loads" label="Loads" :choices="loadStyles" />
      <ChoiceField path="spray.shared" label="The mix is" :choices="sharing" />
    </template>
  </div>
</template>
