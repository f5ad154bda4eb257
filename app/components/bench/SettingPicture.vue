<script setup lang="ts">
import { flowUnit } from '#core/quantity/systems'
import { flowAt } from '#core/calibration/settingCurve'
import type { SpreaderCurve } from '#core/calibration/spreaderCurve'

/**
 * Flow against setting: the tested points, the curve through their means, its band, and the setting that was
 * asked for.
 */
const props = defineProps<{ curve: SpreaderCurve; at?: number }>()
const colours = useThemeColours()
const crew = useCrewStore()
const unit = computed(() => flowUnit(crew.units))
const option = computed(() => {
  const { means } = props.curve.curve
  const [first, last] = [means[0], means.at(-1)]
  if (!first || !last || means.length < 2) return undefined
  const at = Array.from({ length: 61 }, (_, i) => first.setting + ((last.setting - first.setting) * i) / 60)
  const flow = (setting: number) => {
    const read = flowAt(props.curve.curve, setting)
    return read.ok ? unit.value.per * read.value.flow : undefined
  }
  const edge = (setting: number, side: 1 | -1) => {
    const read = flowAt(props.curve.curve, setting)
    return read.ok && read.value.doubt !== undefined
      ? unit.value.per * read.value.flow * (1 + side * 2 * read.value.doubt)
      : undefined
  }
  const band = (side: 1 | -1) => ({
    type: 'line',
    showSymbol: false,
    silent: true,
    lineStyle: { color: colours.value.soft, width: 1, type: 'dashed' },
    itemStyle: { color: colours.value.soft },
    data: at.map((setting) => [setting, edge(setting, side)]),
  })
  return {
    legend: { show: false },
    xAxis: {
      type: 'value',
      name: 'setting',
      nameLocation: 'middle',
      nameGap: 26,
      min: Math.floor(first.setting - 1),
      max: Math.ceil(last.setting + 1),
    },
    yAxis: { type: 'value', name: `${unit.value.name} through the gate` },
    series: [
      {
        type: 'line',
        showSymbol: false,
        lineStyle: { color: colours.value.dry, width: 2.5 },
        itemStyle: { color: colours.value.dry },
        data: at.map((setting) => [setting, flow(setting)]),
        ...(props.at !== undefined && {
          markLine: {
            symbol: 'none',
            silent: true,
            label: { show: false },
            lineStyle: { color: colours.value.action, width: 1.5 },
            data: [{ xAxis: props.at }],
          },
        }),
      },
      ...(props.curve.curve.spread === undefined ? [] : [band(-1), band(1)]),
      {
        type: 'line',
        lineStyle: { width: 0 },
        symbol: 'circle',
        symbolSize: 7,
        itemStyle: { color: colours.value.ink },
        data: props.curve.points.map((point) => [point.setting, unit.value.per * point.flow]),
      },
    ],
  }
})
</script>

<template>
  <FigureChart
    v-if="option"
    :option="option"
    label="Flow against setting, with the tested points and their band"
    :height="210"
  />
</template>
