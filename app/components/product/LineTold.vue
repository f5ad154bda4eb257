<script setup lang="ts">
import { DROP_SIZES } from '#core/calibration/dropSize'
import { TURF_STATES } from '#core/ground/turfStates'
import { LINE_RATES } from '#core/label/lineUnit'
import type { RateLine } from '#core/label/productShape'
import { SECTION_FIGURES, toldLine, type LineSection } from '#core/label/toldLine'
import type { RateUnit } from '#core/quantity/units'

/** A line of a label told back by its parts; each opens its few fields. */
const props = defineProps<{
  line: RateLine
  path: string
  units: readonly RateUnit[]
  hasActives: boolean
}>()
const told = computed(() => toldLine(props.line))
const drops = [
  { value: '', text: 'not said' },
  ...DROP_SIZES.map((value) => ({ value, text: value })),
] as const
const states = TURF_STATES.map((value) => ({ value, text: value === '' ? 'in any state' : value }))
const PARTS = [
  { section: 'rate', title: 'Rate', blank: 'Not typed yet.' },
  { section: 'timing', title: 'Timing', blank: 'No interval, no count.' },
  { section: 'water', title: 'Water', blank: 'No spray volume, no watering in.' },
  { section: 'weather', title: 'Weather', blank: 'No limit of soil, air or wind.' },
  { section: 'grasses', title: 'Grasses', blank: 'All grasses; no wait for seed.' },
] as const satisfies readonly {
  readonly section: LineSection
  readonly title: string
  readonly blank: string
}[]
const OTHER_FIELDS: Readonly<Record<LineSection, readonly string[]>> = {
  rate: [...LINE_RATES, 'yearActive'],
  timing: ['repeatFrom', 'repeatTo', 'perYear', 'inRow', 'heatUnits'],
  water: [],
  weather: [],
  grasses: [],
}
const pathsOf = (section: LineSection) => [
  ...OTHER_FIELDS[section].map((name) => `${props.path}.${name}`),
  ...SECTION_FIGURES[section].map((name) => `${props.path}.figures.${name}`),
]
</script>

<template>
  <div class="rule-t">
    <ToldSection
      v-for="{ section, title, blank } in PARTS"
      :key="section"
      :part="`${line.id}.${section}`"
      :title="title"
      :words="told[section]"
      :blank="blank"
      :paths="pathsOf(section)"
      :unfolded="section === 'rate' && told.rate === ''"
    >
      <LineRates
        v-if="section === 'rate'"
        :line="line"
        :path="path"
        :units="units"
        :has-actives="hasActives"
      />
      <div v-else class="fields">
        <template v-if="section === 'timing'">
          <QuantityField :path="`${path}.repeatFrom`" />
          <QuantityField :path="`${path}.repeatTo`" />
          <TextField :path="`${path}.perYear`" label="Times a year" placeholder="as many as needed" />
          <TextField :path="`${path}.inRow`" label="Times in a row" placeholder="house rule" />
          <TextField :path="`${path}.heatUnits`" label="Lasts, heat units" placeholder="°C days" />
        </template>
        <LineFigureFields :path="path" :names="SECTION_FIGURES[section]" />
        <ChoiceField
          v-if="section === 'water'"
          :path="`${path}.drops`"
          label="Drops no finer than"
          :choices="drops"
        />
        <ChoiceField
          v-if="section === 'weather'"
          :path="`${path}.growth`"
          label="For turf that is"
          :choices="states"
        />
      </div>
      <template v-if="section === 'grasses'">
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
      </template>
    </ToldSection>
  </div>
</template>
