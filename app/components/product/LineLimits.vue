<script setup lang="ts">
import { TURF_STATES } from '#core/ground/turfStates'
import {
  APPLICATION_METHODS,
  LINE_FIGURE_NAMES,
  LINE_FIGURES,
  YEAR_PERIODS,
  type LineFigure,
  type RateLine,
} from '#core/label/productDocument'
import type { Entered } from '#core/quantity/entered'
import type { KindUnits } from '#core/quantity/parseQuantity'
import {
  CARRIER_UNITS,
  LENGTH_UNITS,
  SPEED_UNITS,
  TEMPERATURE_UNITS,
  TIME_UNITS,
  type RateUnit,
} from '#core/quantity/units'

/**
 * What else a line of a label says: how it is applied, on which grasses, how often, and every figure beside
 * the rate.
 */
const props = defineProps<{ line: RateLine; path: string; open: boolean }>()
const { set } = useForm()
type FigureKind = (typeof LINE_FIGURES)[LineFigure]['kind']
const UNITS = {
  time: TIME_UNITS,
  length: LENGTH_UNITS,
  speed: SPEED_UNITS,
  temperature: TEMPERATURE_UNITS,
  carrier: CARRIER_UNITS.filter((unit) => /^(gal|L)\/(1000 ft2|ac|100 m2|ha)$/.test(unit)),
}
const entered = (name: LineFigure) =>
  (props.line.figures?.[name] ?? { text: '', unit: LINE_FIGURES[name].unit }) as Entered<
    KindUnits[FigureKind]
  >
const methods = APPLICATION_METHODS.map((value) => ({
  value,
  text:
    value === '' ? 'any way' : value === 'spread' ? 'spread dry' : value === 'tank' ? 'tank and boom' : value,
}))
const activeUnits: readonly RateUnit[] = ['lb/ac', 'oz/ac', 'lb/1000 ft2', 'oz/1000 ft2', 'kg/ha', 'g/100 m2']
const PERIOD_WORDS = {
  '': 'not said',
  'calendar year': 'a calendar year',
  'twelve months': 'any twelve months',
} as const
const periods = YEAR_PERIODS.map((value) => ({ value, text: PERIOD_WORDS[value] }))
const states = TURF_STATES.map((value) => ({ value, text: value === '' ? 'in any state' : value }))
const { problemAt, locked } = useForm()
const wrong = (path: string) => (problemAt(path)?.kind === 'wrong' ? problemAt(path)?.message : undefined)
</script>

<template>
  <details :open="open">
    <summary class="way-out small">Everything else this line says</summary>
    <div class="mt-2 fields">
      <FormChoice :path="`${path}.method`" label="Applied by" :value="line.method ?? ''" :choices="methods" />
      <FormChoice
        :path="`${path}.growth`"
        label="For turf that is"
        :value="line.growth ?? ''"
        :choices="states"
      />
      <FormQuantity
        :path="`${path}.yearActive`"
        label="Most of the active, a year"
        kind="rate"
        :entered="line.yearActive ?? { text: '', unit: 'lb/ac' }"
        :units="activeUnits"
      />
      <FormChoice
        :path="`${path}.period`"
        label="Its year is"
        :value="line.period ?? ''"
        :choices="periods"
      />
      <FormText
        :path="`${path}.heatUnits`"
        label="Lasts, heat units"
        :text="line.heatUnits ?? ''"
        placeholder="°C days"
      />
      <FormText
        :path="`${path}.perYear`"
        label="Times a year"
        :text="line.perYear ?? ''"
        placeholder="as many as needed"
      />
      <FormText
        :path="`${path}.inRow`"
        label="Times in a row"
        :text="line.inRow ?? ''"
        placeholder="house rule"
      />
      <QuantityField
        v-for="name in LINE_FIGURE_NAMES"
        :key="name"
        :path="`${path}.figures.${name}`"
        :label="LINE_FIGURES[name].what"
        :kind="LINE_FIGURES[name].kind"
        :entered="entered(name)"
        :units="UNITS[LINE_FIGURES[name].kind]"
        :locked="locked"
        :problem="wrong(`${path}.figures.${name}`)"
        @change="set(`${path}.figures`, { ...line.figures, [name]: $event })"
      />
    </div>
    <GrassChoice
      class="mt-2"
      :path="`${path}.grasses`"
      label="For these grasses; none ticked: all"
      :chosen="line.grasses ?? []"
    />
    <GrassChoice
      class="mt-2"
      :path="`${path}.sparesSown`"
      label="May be sown within the waits for seed"
      :chosen="line.sparesSown ?? []"
    />
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}
</style>
