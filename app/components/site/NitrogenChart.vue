<script setup lang="ts">
import { rateInSystem, unitText } from '#core/quantity/systems'
import { formatFigure, formatSteps } from '#core/quantity/format'
import type { LawnYear } from '#core/season/nitrogenByLawn'

/** Nitrogen of the year by lawn: what lies there as a bar, what the grass wants as a frame around it. */
const props = defineProps<{ lawns: readonly LawnYear[]; year: string }>()
const crew = useCrewStore()
const colours = useThemeColours()
const told = (perArea: number) => rateInSystem(perArea, 'mass', crew.units)
const unit = computed(() => unitText(told(0).unit))
const STATES = { short: 'under what it wants', within: 'within what it wants', over: 'over what it wants' }
const colourOf = ({ state }: LawnYear) => (state === 'over' ? colours.value.warn : colours.value.dry)
/** Names longer than this are told in the table. */
const LONGEST_NAME = 18
const option = computed(() => ({
  legend: { show: false },
  grid: { left: 138, right: 24, top: 8, bottom: 40 },
  xAxis: { type: 'value', name: `N, ${unit.value}`, nameLocation: 'middle', nameGap: 24 },
  yAxis: {
    type: 'category',
    inverse: true,
    data: props.lawns.map(({ name }) => name),
    axisLabel: {
      color: colours.value.ink,
      formatter: (name: string) =>
        name.length > LONGEST_NAME ? `${name.slice(0, LONGEST_NAME - 1)}…` : name,
    },
  },
  series: [
    {
      type: 'bar',
      barWidth: 12,
      z: 3,
      data: props.lawns.map((lawn) => ({
        value: told(lawn.laid).value,
        itemStyle: { color: colourOf(lawn) },
      })),
    },
    // The frame is the second of two stacked bars; the first only keeps its place.
    {
      type: 'bar',
      stack: 'wanted',
      barWidth: 20,
      barGap: '-133%',
      silent: true,
      itemStyle: { color: 'transparent' },
      data: props.lawns.map(({ wanted }) => told(wanted[0]).value),
    },
    {
      type: 'bar',
      stack: 'wanted',
      barWidth: 20,
      z: 4,
      itemStyle: { color: 'transparent', borderColor: colours.value.ink, borderWidth: 1.5 },
      data: props.lawns.map(({ wanted }) => told(wanted[1]).value - told(wanted[0]).value),
    },
  ],
}))
const table = computed(() => ({
  heads: ['Lawn', `Laid, ${unit.value}`, 'The grass wants', 'It is'],
  rows: props.lawns.map((lawn) => [
    lawn.name,
    formatFigure(told(lawn.laid).value) + (lawn.unknown > 0 ? ` and ${lawn.unknown} not known` : ''),
    lawn.wanted.map((one) => formatSteps(Number(told(one).value.toPrecision(3)))).join(' to '),
    STATES[lawn.state],
  ]),
}))
</script>

<template>
  <section aria-labelledby="nitrogen-chart">
    <h2 id="nitrogen-chart" class="mb-2">Nitrogen in {{ year }}</h2>
    <FigureChart
      :option="option"
      :table="table"
      :height="48 + 34 * lawns.length"
      :label="`Nitrogen in ${year} on each lawn against what its grass wants`"
    />
    <p class="soft small mt-1">
      The frame is what the grass wants in a year<template v-if="lawns.some(({ unknown }) => unknown > 0)"
        >; what a label does not tell is not in the bar</template
      >.
    </p>
  </section>
</template>
