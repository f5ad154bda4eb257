<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { formatFigure } from '#core/quantity/format'
import { showQuantity, type Shown } from '#core/quantity/systems'
import type { MachineOutcome } from '#shared/schemas/run'

/** How far the last jobs of a machine came out from their plans: a drift shows before it hurts. */
const props = defineProps<{ outcomes: readonly MachineOutcome[] }>()
const colours = useThemeColours()
const colourOf = ({ verdict }: MachineOutcome) =>
  ({
    good: colours.value.good,
    acceptable: colours.value.warn,
    off: colours.value.stop,
    'not certain': colours.value.soft,
  })[verdict]
const dayOf = ({ finishedAt }: MachineOutcome) => dayText(finishedAt.slice(0, 10))
const shortDay = (one: MachineOutcome) => dayOf(one).replace(/^(\d+ \w{3})\w* \d{4}$/, '$1')
const words = ({ figure, unit }: Shown) => `${figure} ${unit}`
const percent = (share: number) =>
  `${share > 0 ? '+' : share < 0 ? '−' : ''}${formatFigure(Math.abs(100 * share))}`
/** The axis shows at least so much, so that small differences look small. */
const LEAST_SPAN = 10
const STEP = 5
const span = computed(() =>
  Math.max(
    LEAST_SPAN,
    ...props.outcomes.map(({ deviation }) => STEP * Math.ceil((100 * Math.abs(deviation)) / STEP)),
  ),
)
const option = computed(() => ({
  legend: { show: false },
  grid: { left: 48, right: 12, top: 26, bottom: 28 },
  xAxis: { type: 'category', data: props.outcomes.map(shortDay), axisTick: { show: false } },
  yAxis: { type: 'value', name: '% off plan', min: -span.value, max: span.value },
  series: [
    {
      type: 'bar',
      barMaxWidth: 22,
      data: props.outcomes.map((one) => ({
        value: 100 * one.deviation,
        itemStyle: { color: colourOf(one) },
      })),
    },
  ],
}))
const table = computed(() => ({
  heads: ['Day', 'Site', 'Product', 'Planned', 'Actual', '% off', 'Verdict'],
  rows: props.outcomes
    .toReversed()
    .map((one) => [
      dayOf(one),
      one.site,
      one.product,
      words(showQuantity(one.plannedRate)),
      words(showQuantity(one.actualRate)),
      percent(one.deviation),
      one.verdict,
    ]),
}))
</script>

<template>
  <section aria-labelledby="outcome-title">
    <h2 id="outcome-title" class="mb-2">Actual against planned</h2>
    <FigureChart
      :option="option"
      :table="table"
      :height="170"
      label="How far each product of the last jobs with this machine came out from its planned rate"
    />
  </section>
</template>
