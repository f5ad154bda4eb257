<script setup lang="ts">
import type { PatternBenchTest } from '#core/calibration/benchTestShape'
import { AMOUNT_UNITS, LENGTH_UNITS } from '#core/quantity/units'

/** A tray test, step by step as it is done at the tailgate. */
defineProps<{ trial: PatternBenchTest }>()
const travels = [
  { value: 'back-and-forth', text: 'back and forth' },
  { value: 'one-way', text: 'all one way' },
] as const
</script>

<template>
  <ol class="steps">
    <li>
      <h3>Lay equal trays across the throw, the middle one on your line</h3>
      <div class="fields">
        <FormQuantity
          path="document.spacing"
          label="Tray to tray, middles"
          kind="length"
          :entered="trial.spacing"
          :units="LENGTH_UNITS"
        />
        <FormQuantity
          path="document.tray.width"
          label="Tray across"
          kind="length"
          :entered="trial.tray.width"
          :units="LENGTH_UNITS"
        />
        <FormQuantity
          path="document.tray.length"
          label="Tray along"
          kind="length"
          :entered="trial.tray.length"
          :units="LENGTH_UNITS"
        />
      </div>
    </li>
    <li>
      <h3>Load, set and walk over them at your pace, always the same way</h3>
      <div class="fields">
        <FormText class="wide" path="document.product" label="Product" :text="trial.product" />
        <FormText path="document.setting" label="Setting" :text="trial.setting" />
        <FormText path="document.passes" label="Passes over the trays" :text="trial.passes" placeholder="3" />
      </div>
      <p class="soft small">
        Start and stop well before and after the trays; wind still; gloves and eye cover as the label says.
      </p>
    </li>
    <li>
      <h3>Weigh or measure each tray, left to right as you walked</h3>
      <ReadingList
        :list="trial.catches"
        path="document.catches"
        one="Tray"
        kind="amount"
        :units="AMOUNT_UNITS"
      />
    </li>
    <li>
      <h3>How the lanes are driven</h3>
      <div class="fields">
        <FormChoice path="document.travel" label="Lanes" :value="trial.travel" :choices="travels" />
        <FormQuantity
          path="document.limit"
          label="Even enough up to a CV of"
          kind="percent"
          :entered="trial.limit"
        />
        <FormQuantity
          path="document.lane"
          label="Lane spacing in mind"
          kind="length"
          :entered="trial.lane"
          :units="LENGTH_UNITS"
          hint="blank: the effective swath"
        />
      </div>
    </li>
  </ol>
  <div class="fields mt-3">
    <FormDay path="document.on" label="Day" :day="trial.on" />
    <FormText path="document.by" label="Done by" :text="trial.by" />
  </div>
  <FormNotes path="document.notes" label="Notes" :text="trial.notes" class="mt-2" />
</template>
