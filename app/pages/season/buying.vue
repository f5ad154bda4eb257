<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { packageSetWords } from '#core/stock/bestSet'
import { lastingWords } from '#core/stock/packageChoice'
import { showStock } from '#core/quantity/systems'
import type { Figure } from '#core/working/figures'
import type { PurchaseLine } from '#core/program/purchaseList'
import type { RowColumn } from '~/components/field/RowTable.vue'

/** What programs and planned jobs of all sites still need, against the shelf. */
useHead({ title: 'To buy · Hectarum' })
const crew = useCrewStore()
const { answer: found, problem, loading, again } = useAnswer(questions.purchases)
const shown = (amount: number, { dimension }: PurchaseLine) => showStock(amount, dimension, crew.units)
const pageOf = ({ productId, dimension }: PurchaseLine): Figure => `purchase.${productId}.${dimension}`
useWorkingPages(
  () => (found.value?.working ?? []).map(({ figure, lines }) => ({ figure: figure as Figure, lines })),
  computed(
    () =>
      new Map<Figure, string>([
        ...(found.value?.lines ?? []).map((line) => [pageOf(line), line.product] as const),
        ...(found.value?.budgets ?? []).map(
          ({ siteId, site }) => [`budget.${siteId}`, `Cost of the year, ${site}`] as const,
        ),
      ]),
  ),
)
const currency = computed(() => crew.organization?.settings.currency ?? '')
const COLUMNS: readonly RowColumn<PurchaseLine>[] = [
  { key: 'product', head: 'Product', sort: ({ product }) => product.toLowerCase() },
  { key: 'first', head: 'First needed', from: 'laptop', sort: ({ firstOn }) => firstOn },
  { key: 'need', head: 'Needed', numeric: true, from: 'laptop' },
  { key: 'hand', head: 'On hand', numeric: true, from: 'laptop' },
  { key: 'short', head: 'Missing', numeric: true },
  { key: 'buy', head: 'Buy', from: 'laptop' },
  { key: 'keeps', head: 'Keeps', from: 'laptop' },
]
const whole = computed(() => (found.value?.lines ?? []).reduce((sum, { buy }) => sum + (buy?.cost ?? 0), 0))
const buyWords = (line: PurchaseLine) =>
  line.short === 0
    ? 'enough'
    : line.buy
      ? packageSetWords(line.buy) + (line.buy.cost === undefined ? '' : `, ${line.buy.cost.toFixed(2)}`)
      : 'no package of a size that counts'
const keepsWords = ({ keeps }: PurchaseLine) => {
  if (keeps === undefined) return ''
  const { figure, unit } = lastingWords(keeps)
  return `${figure} ${unit}`
}
</script>

<template>
  <div>
    <SeasonTabs />
    <ListPlace
      name="To buy for the season"
      :loading="loading"
      :problem="problem"
      :empty="
        found?.lines.length === 0
          ? {
              words: 'Nothing is planned that needs a product: apply a program to a lawn, or plan a job.',
              action: 'See the programs',
              to: '/season/programs',
            }
          : undefined
      "
      @retry="again"
    >
      <template #head>
        <p v-if="whole > 0" class="ms-auto">
          <strong class="figure">{{ whole.toFixed(2) }}</strong> {{ currency }} for what is missing
        </p>
      </template>
      <RowTable
        v-if="found"
        caption="Products the season still needs"
        :rows="found.lines"
        :columns="COLUMNS"
        :key-of="({ productId, dimension }) => `${productId} ${dimension}`"
        :to="({ productId }) => `/products/${productId}`"
      >
        <template #product="{ row }">{{ row.product }}</template>
        <template #under="{ row }">{{ buyWords(row) }}</template>
        <template #first="{ row }">{{ dayText(row.firstOn) }}</template>
        <template #need="{ row }"
          ><FigureText
            class="relative z-1"
            :shown="shown(row.need, row)"
            :page="pageOf(row)"
            :label="`${row.product} needed`"
        /></template>
        <template #hand="{ row }"><FigureText :shown="shown(row.onHand, row)" /></template>
        <template #short="{ row }"
          ><strong v-if="row.short > 0"><FigureText :shown="shown(row.short, row)" /></strong
          ><span v-else class="soft">none</span></template
        >
        <template #buy="{ row }">{{ buyWords(row) }}</template>
        <template #keeps="{ row }">{{ keepsWords(row) }}</template>
      </RowTable>
      <template #after>
        <SiteBudgets v-if="found" :budgets="found.budgets" @changed="again" />
        <div v-if="found && found.open.length > 0" class="mt-5">
          <h2>Not counted yet</h2>
          <ul class="small soft">
            <li v-for="words in found.open" :key="words">{{ words }}</li>
          </ul>
        </div>
      </template>
    </ListPlace>
  </div>
</template>
