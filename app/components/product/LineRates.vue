<script setup lang="ts">
import { RATE_BASES, RATE_BASIS_NAMES } from '#core/label/label'
import { inLineUnit, withUsualRate, type LINE_RATES } from '#core/label/lineUnit'
import { LINE_FIELDS } from '#core/label/productFields'
import { APPLICATION_METHODS, YEAR_PERIODS } from '#core/label/productDocument'
import type { RateLine } from '#core/label/productShape'
import { unitText } from '#core/quantity/systems'
import type { RateUnit } from '#core/quantity/units'

/** The rates of a label's line: one unit for all, unless one is typed with another. */
const props = defineProps<{
  line: RateLine
  path: string
  units: readonly RateUnit[]
  /** Whether the product names actives: a label may limit them by themselves. */
  hasActives: boolean
}>()
const { set, locked } = useForm()
const bases = RATE_BASES.map((basis) => ({ value: basis, text: RATE_BASIS_NAMES[basis] }))
/** A rate of nitrogen is no rate of product, and says so. */
const rateLabel = (name: (typeof LINE_RATES)[number]) =>
  props.line.basis === 'product'
    ? LINE_FIELDS[name].label
    : `${LINE_FIELDS[name].label}, of ${RATE_BASIS_NAMES[props.line.basis]}`
const unitChoices = computed(() =>
  [...new Set([props.line.rate.unit, ...props.units])].map((value) => ({ value, text: unitText(value) })),
)
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
</script>

<template>
  <div class="fields">
    <QuantityField
      :path="`${path}.rate`"
      :label="rateLabel('rate')"
      :entered="line.rate"
      :locked="locked"
      @change="set(path, withUsualRate(line, $event))"
    />
    <ChoiceField
      label="Rates are in"
      :value="line.rate.unit"
      :choices="unitChoices"
      :locked="locked"
      @change="set(path, inLineUnit(line, $event))"
    />
    <QuantityField
      v-for="name in ['low', 'high', 'most', 'year'] as const"
      :key="name"
      :path="`${path}.${name}`"
      :label="rateLabel(name)"
    />
    <ChoiceField :path="`${path}.period`" label="Its year is" :choices="periods" />
    <ChoiceField :path="`${path}.basis`" label="The rate counts" :choices="bases" />
    <QuantityField
      v-if="hasActives || line.yearActive?.text"
      :path="`${path}.yearActive`"
      :units="activeUnits"
    />
    <ChoiceField :path="`${path}.method`" label="Applied by" :choices="methods" />
  </div>
</template>
