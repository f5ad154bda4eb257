<script setup lang="ts">
import { DEFAULT_HOUSE } from '#core/house'
import { formatDeviation, formatGive } from '#core/quantity/format'
import { showQuantity } from '#core/quantity/systems'
import type { ProductOutcome } from '#core/run/outcome'
import type { FrozenPlan } from '#core/run/runEvent'
import { deviationRange, verdictOf, type Verdict } from '#core/run/verdict'
import { rateLawns } from '#core/run/rateLawns'

/** Actual rate against the planned one, with a verdict in shape, word and colour. */
const props = defineProps<{ outcomes: readonly ProductOutcome[]; frozen: FrozenPlan }>()
/** The verdict and the range it rests on; records of earlier versions are judged anew, by the same judge. */
const judge = ({ deviation, give }: Pick<ProductOutcome, 'deviation' | 'give'>) => {
  if (deviation === undefined) return undefined
  const verdict = verdictOf(deviation, give, props.frozen.tolerance ?? DEFAULT_HOUSE)
  return { verdict, words: `${verdict}: ${deviationRange(deviation, give)}` }
}
const MARKS = {
  good: 'good',
  acceptable: 'warn',
  off: 'stop',
  'not certain': 'note',
} as const satisfies Record<Verdict, string>
const COLUMNS = [
  { key: 'product', head: 'Product' },
  { key: 'used', head: 'used', numeric: true },
  { key: 'planned', head: 'planned', numeric: true },
  { key: 'actual', head: 'actual', numeric: true },
  { key: 'off', head: 'off by', numeric: true },
  { key: 'verdict', head: 'verdict' },
] as const
const nameOf = (id: string) =>
  props.frozen.labels.find(({ productId }) => productId === id)?.name || 'Product'
/** Each product, and below it the lawns of each rate where they were weighed apart. */
const rows = computed(() =>
  props.outcomes.flatMap((outcome) => [
    {
      ...outcome,
      key: outcome.productId,
      judged: judge(outcome),
      name: nameOf(outcome.productId),
      part: '',
      page: `outcome.${outcome.productId}` as const,
    },
    ...(outcome.apart ?? []).map((one, i) => ({
      ...one,
      key: `${outcome.productId} ${i}`,
      judged: judge(one),
      name: `on ${rateLawns(props.frozen, i)}`,
      part: 'part',
      page: `outcome.${outcome.productId}.${i}` as const,
    })),
  ]),
)
</script>

<template>
  <div aria-live="polite">
    <RowTable caption="Actual rates" stacked :rows="rows" :columns="COLUMNS" :key-of="({ key }) => key">
      <template #product="{ row }"
        ><span :class="row.part ? 'soft' : 'font-semibold'">{{ row.name }}</span></template
      >
      <template #used="{ row }"><FigureText :shown="showQuantity(row.used)" /></template>
      <template #planned="{ row }"
        ><FigureText v-if="row.plannedRate" :shown="showQuantity(row.plannedRate)" /><span v-else class="soft"
          >not noted</span
        ></template
      >
      <template #actual="{ row }"
        ><strong
          ><FigureText
            :shown="showQuantity(row.actualRate)"
            :page="row.page"
            :label="`Actual rate, ${row.name}`" /></strong
      ></template>
      <template #off="{ row }"
        >{{ row.deviation === undefined ? '' : formatDeviation(row.deviation)
        }}<span v-if="row.give > 0" class="soft small block whitespace-nowrap"
          >± {{ formatGive(100 * row.give) }} %</span
        ></template
      >
      <template #verdict="{ row }"
        ><StateMark v-if="row.judged" :level="MARKS[row.judged.verdict]" :words="row.judged.words"
      /></template>
    </RowTable>
  </div>
</template>
