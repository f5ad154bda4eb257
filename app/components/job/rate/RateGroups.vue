<script setup lang="ts">
import type { RateGroup } from '#core/plan/plan'
import { perPassOf } from '#core/plan/mergePlans'
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
    const rate = dry.value ? perPassOf(group, passes.value) : undefined
    return rate === undefined ? undefined : { shown: shown.rate(rate, 'mass'), dial: dialFor(rate) }
  }),
)
</script>

<template>
  <table v-if="groups.length > 1" class="list">
    <caption class="text-left">
      {{
        dry
          ? 'Weighed and spread apart, each at its own rate; the reserve once'
          : 'Mixed apart, each at its own rate'
      }}
    </caption>
    <thead>
      <tr>
        <th scope="col">Lawns</th>
        <th scope="col">{{ dry ? 'Each pass' : 'Product' }}</th>
        <th scope="col" class="num">rate</th>
        <th scope="col" class="num">to measure</th>
      </tr>
    </thead>
    <tbody v-for="(group, i) in groups" :key="i">
      <tr v-for="(product, k) in group.products" :key="product.id">
        <th v-if="k === 0" scope="rowgroup" :rowspan="group.products.length">
          {{ lawnsOf(group) }} <span class="soft"><FigureText :shown="shown.size(group.size.value)" /></span>
        </th>
        <td v-if="dry" data-label="each pass">
          <template v-if="each[i]"
            ><FigureText
              :shown="each[i]!.shown"
              :page="`rates.${i}.pass`"
              :label="`Each pass, ${lawnsOf(group)}`"
            /><template v-if="each[i]!.dial"
              >, dial at
              <strong
                ><FigureText
                  :shown="{ figure: each[i]!.dial!, unit: '' }"
                  :page="`rates.${i}.dial`"
                  :label="`Dial, ${lawnsOf(group)}`" /></strong></template
            ><span v-else class="soft">, no setting tested near it</span></template
          >
        </td>
        <td v-else data-label="product">{{ nameOf(product.id) }}</td>
        <td class="num" data-label="rate"><FigureText :shown="showQuantity(product.rate)" /></td>
        <td class="num" data-label="to measure">
          <strong
            ><FigureText
              :shown="
                showMeasured(
                  product.measured,
                  sheet.products.find((one) => one?.id === product.id)?.measureStep,
                )
              "
              :page="`products.${product.id}.measured`"
              :label="nameOf(product.id)"
          /></strong>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
/* Rows are blocks on a phone: the caption goes with them instead of keeping the width of a column. */
@media (max-width: 760px) {
  table,
  caption {
    display: block;
  }
}
</style>
