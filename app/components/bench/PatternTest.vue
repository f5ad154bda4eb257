<script setup lang="ts">
import type { PatternBenchTest } from '#core/calibration/benchTestShape'
import { AMOUNT_UNITS } from '#core/quantity/units'

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
        <QuantityField path="document.spacing" />
        <QuantityField path="document.tray.width" />
        <QuantityField path="document.tray.length" />
      </div>
    </li>
    <li>
      <h3>Load, set and walk over them at your pace, always the same way</h3>
      <div class="fields">
        <TextField class="wide" path="document.product" label="Product" />
        <TextField path="document.setting" label="Setting" />
        <TextField path="document.passes" label="Passes over the trays" placeholder="3" />
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
        <ChoiceField path="document.travel" label="Lanes" :choices="travels" />
        <QuantityField path="document.limit" />
        <QuantityField path="document.lane" />
      </div>
    </li>
  </ol>
  <div class="fields mt-3">
    <DayField path="document.on" label="Day" />
    <TextField path="document.by" label="Done by" />
  </div>
  <FormNotes path="document.notes" label="Notes" :text="trial.notes" class="mt-2" />
</template>
