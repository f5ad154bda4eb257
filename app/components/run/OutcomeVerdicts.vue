<script setup lang="ts">
import { DEFAULT_HOUSE } from '#core/house'
import { formatDeviation, formatFigure } from '#core/quantity/format'
import { showQuantity } from '#core/quantity/systems'
import type { ProductOutcome } from '#core/run/outcome'
import type { FrozenPlan } from '#core/run/runEvent'
import type { Verdict } from '#core/run/verdict'
import { rateLawns } from './rateLawns'

/** Actual rate against the planned one, with a verdict in shape, word and colour. */
const props = defineProps<{ outcomes: readonly ProductOutcome[]; frozen: FrozenPlan }>()
const percent = (share: number) =>
  `${formatFigure(Number((share * 100).toPrecision(3))).replace(/\.0+$/, '')} %`
const verdicts = computed<Readonly<Record<Verdict, { readonly sign: string; readonly word: string }>>>(() => {
  const { good, acceptable } = props.frozen.tolerance ?? DEFAULT_HOUSE
  return {
    good: { sign: '●', word: `good, within ${percent(good)}` },
    acceptable: { sign: '▲', word: `acceptable, within ${percent(acceptable)}` },
    off: { sign: '■', word: `off by more than ${percent(acceptable)}` },
  }
})
const nameOf = (id: string) =>
  props.frozen.labels.find(({ productId }) => productId === id)?.name || 'Product'
/** Each product, and below it the lawns of each rate where they were weighed apart. */
const rows = computed(() =>
  props.outcomes.flatMap((outcome) => [
    {
      ...outcome,
      key: outcome.productId,
      name: nameOf(outcome.productId),
      part: '',
      page: `outcome.${outcome.productId}` as const,
    },
    ...(outcome.apart ?? []).map((one, i) => ({
      ...one,
      key: `${outcome.productId} ${i}`,
      name: `on ${rateLawns(props.frozen, i)}`,
      part: 'part',
      page: `outcome.apart.${i}` as const,
    })),
  ]),
)
</script>

<template>
  <table class="verdicts" aria-live="polite">
    <caption class="sr-only">
      Actual rates
    </caption>
    <thead>
      <tr>
        <th scope="col">Product</th>
        <th scope="col" class="num">used</th>
        <th scope="col" class="num">planned</th>
        <th scope="col" class="num">actual</th>
        <th scope="col" class="num">off by</th>
        <th scope="col">verdict</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="outcome in rows" :key="outcome.key" :class="outcome.part">
        <th scope="row">{{ outcome.name }}</th>
        <td class="num" data-label="used"><FigureText :shown="showQuantity(outcome.used)" /></td>
        <td class="num" data-label="planned"><FigureText :shown="showQuantity(outcome.plannedRate)" /></td>
        <td class="num" data-label="actual">
          <strong
            ><FigureText
              :shown="showQuantity(outcome.actualRate)"
              :page="outcome.page"
              :label="`Actual rate, ${outcome.name}`"
          /></strong>
        </td>
        <td class="num" data-label="off by">{{ formatDeviation(outcome.deviation) }}</td>
        <td :class="outcome.verdict">
          <span aria-hidden="true">{{ verdicts[outcome.verdict].sign }}</span>
          {{ verdicts[outcome.verdict].word }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.verdicts {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 7px 12px 7px 0;
  border-bottom: var(--rule-width) solid var(--rule);
  vertical-align: baseline;
}
thead th {
  color: var(--soft);
  font-size: 13px;
}
.num {
  text-align: right;
  white-space: nowrap;
}
.part th {
  padding-left: 14px;
  color: var(--soft);
}
.good {
  color: var(--good);
}
.acceptable {
  color: var(--warn);
}
.off {
  color: var(--stop);
  font-weight: 600;
}
@media (max-width: 640px) {
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: 1fr 1fr;
    border-bottom: var(--rule-width) solid var(--rule);
    padding: 8px 0;
  }
  th,
  td,
  .num {
    border: 0;
    padding: 2px 0;
    text-align: left;
  }
  th,
  td:last-child {
    grid-column: 1 / -1;
    font-weight: 600;
  }
  td[data-label]::before {
    content: attr(data-label) ' ';
    color: var(--soft);
    font-size: 13px;
  }
}
</style>
