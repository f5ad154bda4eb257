<script setup lang="ts">
import { bestSet, onSale, packageSetWords } from '#core/stock/bestSet'
import type { ProductDocument } from '#core/label/productShape'
import type { Entered } from '#core/quantity/entered'
import { dimensionOf } from '#core/quantity/rateUnit'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { AMOUNT_UNITS, type AmountUnit } from '#core/quantity/units'
import {
  enteredNeed,
  lastingWords,
  needAhead,
  packageChoice,
  pricePer,
  shelfYears,
  usedInYear,
  yearNeedOf,
  type YearNeed,
} from '#core/stock/packageChoice'
import type { PlannedUse, Stock } from '#shared/schemas/product'

/**
 * Which package to buy at the coming year's need: the one that costs least over the years it keeps, and the
 * set of them that covers the need once.
 */
const props = defineProps<{
  document: ProductDocument
  stock: Stock | undefined
  planned: readonly PlannedUse[]
}>()
const emit = defineEmits<{ need: [need: YearNeed | undefined] }>()
const crew = useCrewStore()
const known = computed(() => needAhead(usedInYear(props.stock?.movements ?? [], crew.today()), props.planned))
const typed = shallowRef<Entered<AmountUnit>>()
const entered = computed<Entered<AmountUnit>>(() => {
  if (typed.value) return typed.value
  const dimension =
    known.value?.need.dimension ??
    (props.document.packages[0] ? dimensionOf(props.document.packages[0].size.unit) : 'mass')
  const { massLadder, volumeLadder } = SYSTEM_UNITS[crew.units]
  const unit = (dimension === 'mass' ? massLadder[0] : volumeLadder[0]) ?? 'lb'
  return known.value ? enteredNeed(known.value.need, unit) : { text: '', unit }
})
const need = computed(() => yearNeedOf(entered.value))
const keeps = computed(() => shelfYears(props.document))
watch(need, (now) => emit('need', now), { immediate: true })
const rows = computed(() =>
  need.value ? packageChoice(props.document.packages, need.value, keeps.value) : [],
)
const FROM = {
  used: 'what jobs used in the last twelve months',
  planned: 'what planned jobs are going to use',
} as const
const COLUMNS = [
  { key: 'pack', head: 'Package' },
  { key: 'unit', head: 'A unit', numeric: true },
  { key: 'year', head: 'A year', numeric: true },
  { key: 'lasts', head: 'Lasts', numeric: true },
  { key: 'verdict', head: '' },
] as const
const currency = computed(() => crew.organization?.settings.currency ?? 'USD')
const money = (amount: number) => amount.toFixed(2)
const colours = useThemeColours()
const sizeOf = ({ pack }: (typeof rows.value)[number]) => `${pack.size.text} ${pack.size.unit}`
/** What a year costs out of each package; what spoils is paid for too. */
const chart = computed(() => ({
  legend: { show: false },
  grid: { left: 92, right: 24, top: 8, bottom: 40 },
  xAxis: {
    type: 'value',
    name: `${currency.value} a year`,
    nameLocation: 'middle',
    nameGap: 24,
  },
  yAxis: { type: 'category', inverse: true, data: rows.value.map(sizeOf) },
  series: [
    {
      type: 'bar',
      barWidth: 14,
      data: rows.value.map(({ perYear, state, end }) => ({
        value: perYear,
        itemStyle: {
          color:
            end === 'spoils'
              ? colours.value.warn
              : state === 'best'
                ? colours.value.good
                : colours.value.soft,
        },
      })),
    },
  ],
}))
/** Once for the whole need. */
const set = computed(() => {
  const { value } = need
  return value && bestSet(onSale(props.document.packages, value.dimension), value.amount)
})
</script>

<template>
  <section v-if="document.packages.length > 0" aria-labelledby="choice-title" class="space-y-2">
    <h2 id="choice-title">Which package</h2>
    <QuantityField
      path="yearNeed"
      label="Needed in a year"
      kind="amount"
      :entered="entered"
      :units="AMOUNT_UNITS"
      :hint="known && !typed ? FROM[known.from] : undefined"
      @change="typed = $event"
    />
    <RowTable
      v-if="rows.length > 0"
      caption="Packages by what a year costs"
      stacked
      :rows="rows"
      :columns="COLUMNS"
      :key-of="({ pack }) => pack.id"
    >
      <template #pack="{ row }"
        ><strong class="whitespace-nowrap">{{ sizeOf(row) }}</strong></template
      >
      <template #unit="{ row }"
        >{{ money(pricePer(row, entered.unit)) }}
        <span class="soft small">a {{ entered.unit }}</span></template
      >
      <template #year="{ row }"
        ><FigureText
          :shown="{ figure: money(row.perYear), unit: '' }"
          :page="`package.${row.pack.id}`"
          label="What a year costs"
      /></template>
      <template #lasts="{ row }"
        ><FigureText
          :shown="lastingWords(row.years)"
          :page="`package.${row.pack.id}`"
          label="How long a package lasts"
      /></template>
      <template #verdict="{ row }"
        ><StateMark v-if="row.state === 'best'" level="good" words="the one to buy" /><StateMark
          v-if="row.end === 'spoils'"
          level="warn"
          words="spoils before it is used up"
      /></template>
    </RowTable>
    <FigureChart
      v-if="rows.length > 1"
      :option="chart"
      :height="56 + 30 * rows.length"
      label="What a year costs out of each package, over the years it keeps"
    />
    <p v-if="rows.length === 0" class="soft small">
      {{
        need
          ? 'No package has both size and price in that measure.'
          : `Say how much a year takes${known ? '' : ': nothing was booked by jobs yet'}.`
      }}
    </p>
    <p v-if="set" class="small">
      Once for all of it: <strong>{{ packageSetWords(set) }}</strong><template v-if="set.cost !== undefined">
        at {{ money(set.cost) }} together</template
      >.
    </p>
    <p v-if="keeps === undefined && rows.length > 0" class="soft small">
      The label gives no shelf life: the largest may still spoil.
    </p>
  </section>
</template>
