<script setup lang="ts">
import { MASS_UNITS, VOLUME_UNITS } from '#core/quantity/units'

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
    <FormQuantity
      v-if="document.method === 'spread'"
      path="spread.reserve"
      label="Reserve in the hopper"
      kind="mass"
      :entered="document.spread.reserve"
      :units="MASS_UNITS"
    />
    <template v-else>
      <FormQuantity
        path="spray.tank"
        :label="document.spray.calibration.by === 'hose-end' ? 'Bottle, filled to' : 'Tank, filled to'"
        kind="volume"
        :entered="document.spray.tank"
        :units="VOLUME_UNITS"
      />
      <FormQuantity
        path="spray.dead"
        label="Stays in hose, boom"
        kind="volume"
        :entered="document.spray.dead"
        :units="VOLUME_UNITS"
      />
      <FormQuantity
        path="spray.agitate"
        label="Agitates from"
        kind="volume"
        :entered="document.spray.agitate"
        :units="VOLUME_UNITS"
      />
      <FormChoice path="spray.loads" label="Loads" :value="document.spray.loads" :choices="loadStyles" />
      <FormChoice
        path="spray.shared"
        label="The mix is"
        :value="document.spray.shared ?? ''"
        :choices="sharing"
      />
    </template>
  </div>
</template>
