<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import type { ProductDocument } from '#core/label/productDocument'
import type { Entered } from '#core/quantity/entered'
import { formatFigure } from '#core/quantity/format'
import { dimensionOf } from '#core/quantity/rateUnit'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { AMOUNT_UNITS, type AmountUnit } from '#core/quantity/units'
import {
  enteredNeed,
  packageChoice,
  pricePer,
  shelfYears,
  usedInYear,
  yearNeedOf,
  type YearNeed,
} from '#core/stock/packageChoice'
import type { Stock } from '#shared/schemas/product'

/** Which package to buy at this year's need: the cheapest that is used up before it spoils. */
const props = defineProps<{ document: ProductDocument; stock: Stock | undefined }>()
const emit = defineEmits<{ need: [need: YearNeed | undefined] }>()
const crew = useCrewStore()
const used = computed(() => usedInYear(props.stock?.movements ?? [], crew.today()))
const typed = shallowRef<Entered<AmountUnit>>()
const entered = computed<Entered<AmountUnit>>(() => {
  if (typed.value) return typed.value
  const dimension =
    used.value?.dimension ??
    (props.document.packages[0] ? dimensionOf(props.document.packages[0].size.unit) : 'mass')
  const { massLadder, volumeLadder } = SYSTEM_UNITS[crew.units]
  const unit = (dimension === 'mass' ? massLadder[0] : volumeLadder[0]) ?? 'lb'
  return used.value ? enteredNeed(used.value, unit) : { text: '', unit }
})
const need = computed(() => yearNeedOf(entered.value))
const keeps = computed(() => shelfYears(props.document))
watch(need, (now) => emit('need', now), { immediate: true })
const rows = computed(() =>
  need.value ? packageChoice(props.document.packages, need.value, keeps.value) : [],
)
const WORDS = {
  best: '✓ the one to buy',
  dearer: 'dearer',
  outlives: '▲ spoils before it is used up',
} as const
const perUnit = (row: (typeof rows.value)[number]) =>
  `${pricePer(row, entered.value.unit).toFixed(2)} a ${entered.value.unit}`
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
      :hint="used && !typed ? 'what jobs used in the last twelve months' : undefined"
      @change="typed = $event"
    />
    <ul v-if="rows.length > 0">
      <li v-for="row in rows" :key="row.pack.id" class="rule-b py-1">
        {{ row.pack.size.text }} {{ row.pack.size.unit }}: {{ perUnit(row) }}, lasts
        <FigureText
          :shown="{ figure: formatFigure(row.years), unit: plural(row.years, 'year') }"
          :page="`package.${row.pack.id}`"
          label="How long a package lasts"
        />
        <span :class="row.state">{{ WORDS[row.state] }}</span>
      </li>
    </ul>
    <p v-else class="soft small">
      {{
        need
          ? 'No package has both size and price in that measure.'
          : `Say how much a year takes${used ? '' : ': nothing was booked by jobs yet'}.`
      }}
    </p>
    <p v-if="keeps === undefined && rows.length > 0" class="soft small">
      The label gives no shelf life: the largest may still spoil.
    </p>
  </section>
</template>

<style scoped>
.best {
  color: var(--good);
  font-weight: 600;
}
.outlives {
  color: var(--warn);
  font-weight: 600;
}
</style>
