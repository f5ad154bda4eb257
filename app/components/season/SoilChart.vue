<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { temperatureIn } from '#core/quantity/temperature'
import { probeDepth, temperatureSpanIn } from '#core/quantity/toldTemperature'
import type { AreaSeason, SoilDay } from '#core/season/areaSeason'

/** The year of a lawn's soil: what was, what is forecast, what is usual, with the readings of its probe. */
const props = defineProps<{ season: AreaSeason; today: string }>()
const crew = useCrewStore()
const colours = useThemeColours()
const phone = usePhone()
const unit = computed(() => crew.temperatureUnit)
const told = (celsius: number) => Number(temperatureIn(celsius, unit.value).toFixed(1))
const wide = (give: number) => temperatureSpanIn(give, unit.value)
const depth = computed(() => Object.values(probeDepth(crew.units)).join(' '))
const year = computed(() => props.today.slice(0, 4))
/** A day that is not known breaks the line. */
const dataOf = (list: readonly SoilDay[], value: (soil: number, give: number) => number) =>
  list.map(({ on, soil, give }) => [
    on,
    soil === undefined || give === undefined ? null : Number(value(soil, give).toFixed(1)),
  ])
const seen = computed(() => props.season.soil.filter(({ from }) => from === 'weather'))
const ahead = computed(() => props.season.soil.filter(({ from }) => from !== 'weather'))
const line = { type: 'line', showSymbol: false, silent: true } as const
const option = computed(() => ({
  legend: { show: false },
  // The lines under it stand under its days: nothing may push its edges in.
  grid: { left: 0, right: 56, top: 14, bottom: 24, outerBoundsMode: 'none' },
  xAxis: {
    type: 'time',
    // Frost is under the line of nought, not under the picture.
    axisLine: { onZero: false, lineStyle: { color: colours.value.ink } },
    min: `${year.value}-01-01`,
    max: `${year.value}-12-31`,
    axisLabel: { color: colours.value.soft, formatter: '{MMM}', hideOverlap: true, align: 'left' },
    splitLine: { show: true, lineStyle: { color: colours.value.tint } },
  },
  yAxis: {
    type: 'value',
    position: 'right',
    scale: true,
    axisLine: { show: false },
    axisLabel: { color: colours.value.soft, formatter: `{value} ${unit.value}` },
  },
  series: [
    // The band is the second of two stacked areas; the first only carries it.
    {
      ...line,
      stack: 'band',
      stackStrategy: 'all',
      lineStyle: { opacity: 0 },
      data: dataOf(ahead.value, (soil, give) => told(soil) - wide(give)),
    },
    {
      ...line,
      stack: 'band',
      stackStrategy: 'all',
      lineStyle: { opacity: 0 },
      areaStyle: { color: colours.value['wet-tint'], opacity: 0.8 },
      data: dataOf(ahead.value, (_, give) => 2 * wide(give)),
    },
    {
      ...line,
      lineStyle: { color: colours.value.wet, type: 'dashed', width: 1.5 },
      data: dataOf(ahead.value, told),
    },
    {
      ...line,
      lineStyle: { color: colours.value.ink, width: 1.8 },
      data: dataOf(seen.value, told),
      markLine: {
        symbol: 'none',
        silent: true,
        label: { show: false },
        lineStyle: { color: colours.value.action, type: 'solid', width: 2 },
        data: [{ xAxis: props.today }],
      },
    },
    {
      type: 'line',
      lineStyle: { opacity: 0 },
      symbol: 'circle',
      symbolSize: 8,
      silent: true,
      itemStyle: { color: colours.value.action },
      data: props.season.probes
        .filter(({ on }) => on.startsWith(year.value))
        .map(({ on, soil }) => [on, told(soil)]),
    },
  ],
}))
/** As a table: the first day of each week is enough to read. */
const WEEK = 7
const SOURCES = { weather: 'weather', forecast: 'forecast', usual: 'as usual' } as const
const table = computed(() => ({
  heads: ['Day', `Soil, ${unit.value}`, '± (95 %)', 'From'],
  rows: props.season.soil
    .filter((_, i) => i % WEEK === 0)
    .map(({ on, soil, give, from }) => [
      dayText(on),
      soil === undefined ? 'not known' : String(told(soil)),
      give === undefined ? '' : wide(give).toFixed(1),
      SOURCES[from],
    ]),
}))
</script>

<template>
  <FigureChart
    :option="option"
    :table="table"
    :height="phone ? 190 : 236"
    :label="`Soil at ${depth} through ${year}`"
    bare
  />
</template>
