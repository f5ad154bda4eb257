<script setup lang="ts">
import { monthsOfDays } from '#core/weather/monthsOfDays'
import { depthIn, depthUnitOf, toldDepth } from '#core/quantity/toldDepth'
import { temperatureIn } from '#core/quantity/temperature'
import type { StationWeather } from '#shared/schemas/weather'

/** Years of days, or a year of hours, moved under the finger: air as lines, rain as bars. */
const props = defineProps<{ weather: StationWeather; by: 'days' | 'hours' }>()
const crew = useCrewStore()
const colours = useThemeColours()
const phone = usePhone()
const unit = computed(() => crew.temperatureUnit)
const told = (celsius: number) => Number(temperatureIn(celsius, unit.value).toFixed(1))
const depth = (metres: number | null) =>
  metres === null ? null : Number(depthIn(metres, crew.units).toFixed(2))
const rainUnit = computed(() => depthUnitOf(crew.units))
interface Drawn {
  readonly lines: readonly {
    readonly name: string
    readonly points: readonly (readonly [string, number])[]
  }[]
  readonly rain: readonly (readonly [string, number | null])[]
}
const hourTime = (on: string, hour: number) => `${on}T${String(hour).padStart(2, '0')}:00`
const drawn = computed<Drawn>(() =>
  props.by === 'days'
    ? {
        lines: [
          { name: 'Least', points: props.weather.days.map(([on, least]) => [on, told(least)]) },
          { name: 'Most', points: props.weather.days.map(([on, , most]) => [on, told(most)]) },
        ],
        rain: props.weather.days.map(([on, , , rain]) => [on, depth(rain)]),
      }
    : {
        lines: [
          {
            name: 'Air',
            points: props.weather.hours.map(([on, hour, air]) => [hourTime(on, hour), told(air)]),
          },
        ],
        rain: props.weather.hours.map(([on, hour, , rain]) => [hourTime(on, hour), depth(rain)]),
      },
)
const count = computed(() => drawn.value.rain.length)
/** It opens on the last year of days, or the last ten days of hours. */
const SHOWN = { days: 400, hours: 240 } as const
const start = computed(() => Math.max(0, 100 - (100 * SHOWN[props.by]) / Math.max(1, count.value)))
const LINE_COLOURS = ['wet', 'dry'] as const
const option = computed(() => ({
  grid: { left: 44, right: 48, top: 30, bottom: 74 },
  legend: { top: 0, left: 40, textStyle: { color: colours.value.ink }, itemWidth: 18 },
  dataZoom: [
    { type: 'inside', start: start.value, end: 100, zoomOnMouseWheel: 'ctrl' },
    {
      type: 'slider',
      start: start.value,
      end: 100,
      bottom: 8,
      height: 30,
      showDataShadow: false,
      borderColor: colours.value.tint,
      fillerColor: colours.value['wet-tint'],
      handleStyle: { color: colours.value.ink, borderColor: colours.value.ink },
      moveHandleStyle: { color: colours.value.soft },
      emphasis: { handleStyle: { color: colours.value.action, borderColor: colours.value.action } },
      textStyle: { color: colours.value.soft },
    },
  ],
  xAxis: { type: 'time', axisLabel: { color: colours.value.soft, hideOverlap: true } },
  yAxis: [
    {
      type: 'value',
      scale: true,
      axisLabel: { color: colours.value.soft, formatter: `{value} ${unit.value}` },
    },
    {
      type: 'value',
      position: 'right',
      splitLine: { show: false },
      axisLabel: { color: colours.value.soft, formatter: `{value} ${rainUnit.value}` },
    },
  ],
  series: [
    ...drawn.value.lines.map(({ name, points }, i) => ({
      name,
      type: 'line',
      showSymbol: false,
      silent: true,
      sampling: 'lttb',
      lineStyle: { width: 1.5, color: colours.value[LINE_COLOURS[i] ?? 'wet'] },
      itemStyle: { color: colours.value[LINE_COLOURS[i] ?? 'wet'] },
      data: points,
      ...(i === 0 && {
        markLine: {
          symbol: 'none',
          silent: true,
          label: { show: false },
          lineStyle: { color: colours.value.action, type: 'solid', width: 2 },
          data: [{ xAxis: props.weather.today }],
        },
      }),
    })),
    {
      name: `Rain, ${rainUnit.value}`,
      type: 'bar',
      yAxisIndex: 1,
      silent: true,
      large: true,
      barMaxWidth: 8,
      itemStyle: { color: colours.value.ink, opacity: 0.55 },
      data: drawn.value.rain,
    },
  ],
}))
const table = computed(() => ({
  heads: ['Month', 'Days', `Least, ${unit.value}`, `Most, ${unit.value}`, 'Rain'],
  rows: monthsOfDays(props.weather.days)
    .toReversed()
    .map(({ month, days, least, most, rain }) => [
      month,
      String(days),
      String(told(least)),
      String(told(most)),
      rain === undefined ? 'not known' : toldDepth(rain, crew.units),
    ]),
}))
</script>

<template>
  <FigureChart
    :option="option"
    :table="table"
    :height="phone ? 320 : 420"
    :label="`${by === 'days' ? 'Days' : 'Hours'} of ${weather.name}: air and rain`"
    many
    bare
  />
</template>
