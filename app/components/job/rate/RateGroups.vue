<script setup lang="ts">
import type { RateGroup } from '#core/plan/plan'
import { groupPerPass } from '#core/plan/groupPerPass'
import { showQuantity, showMeasured } from '#core/quantity/systems'

/** Lawns that take rates of their own: what each group gets, weighed or mixed apart from the others. */
const { document, sheet, dialFor } = useSheet()
const shown = useShown()
const groups = computed(() => sheet.value.plan?.rates ?? [])
const dry = computed(() => document.value.method === 'spread')
const lawnsOf = ({ areas }: RateGroup) =>
  areas.map((id) => document.value.lawns.find((lawn) => lawn.id === id)?.name || 'a lawn').join(', ')
const nameOf = (id: string) => document.value.products.find((product) => product.id === id)?.name || 'Product'
const passes = computed(() =>
  sheet.value.request?.method.kind === 'spread' ? sheet.value.request.method.passes : 1,
)
/** One pass over each group, and where the dial stands for it. */
const each = computed(() =>
  groups.value.map((group) => {
    const rate = dry.value ? groupPerPass(group, passes.value) : undefined
    return rate === undefined ? undefined : { shown: shown.rate(rate, 'mass'), dial: dialFor(rate) }
  }),
)
const title = computed(() =>
  dry.value
    ? 'Weighed and spread apart, each at its own rate; the reserve once'
    : 'Mixed apart, each at its own rate',
)
const rows = computed(() =>
  groups.value.flatMap((group, i) =>
    group.products.map((product) => ({ key: `${i} ${product.id}`, i, group, product, pass: each.value[i] })),
  ),
)
const columns = computed(() => [
  { key: 'lawns', head: 'Lawns' },
  dry.value ? { key: 'pass', head: 'Each pass' } : { key: 'product', head: 'Product' },
  { key: 'rate', head: 'rate', numeric: true },
  { key: 'measure', head: 'to measure', numeric: true },
])
</script>

<template>
  <section v-if="groups.length > 1" aria-labelledby="groups-title">
    <h3 id="groups-title">{{ title }}</h3>
    <RowTable
      caption="Lawns with rates of their own"
      stacked
      :rows="rows"
      :columns="columns"
      :key-of="({ key }) => key"
    >
      <template #lawns="{ row }"
        >{{ lawnsOf(row.group) }}{{ ' '
        }}<span class="soft"><FigureText :shown="shown.size(row.group.size.value)" /></span
      ></template>
      <template #pass="{ row }">
        <template v-if="row.pass"
          ><FigureText
            :shown="row.pass.shown"
            :page="`rates.${row.i}.pass`"
            :label="`Each pass, ${lawnsOf(row.group)}`"
          /><template v-if="row.pass.dial"
            >, dial at
            <strong
              ><FigureText
                :shown="{ figure: row.pass.dial, unit: '' }"
                :page="`rates.${row.i}.dial`"
                :label="`Dial, ${lawnsOf(row.group)}`" /></strong></template
          ><span v-else class="soft">, no setting tested near it</span></template
        >
      </template>
      <template #product="{ row }">{{ nameOf(row.product.id) }}</template>
      <template #rate="{ row }"><FigureText :shown="showQuantity(row.product.rate)" /></template>
      <template #measure="{ row }"
        ><strong
          ><FigureText
            :shown="
              showMeasured(
                row.product.measured,
                sheet.products.find((one) => one?.id === row.product.id)?.measureStep,
              )
            "
            :page="`products.${row.product.id}.measured`"
            :label="nameOf(row.product.id)" /></strong
      ></template>
    </RowTable>
  </section>
</template>
