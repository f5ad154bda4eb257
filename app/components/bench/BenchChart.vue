<script setup lang="ts">
import type { EChartsCoreOption } from 'echarts/core'

/**
 * A picture of the bench: lines, bars and limits, drawn as SVG. What it says is also said in words beside it.
 */
const props = defineProps<{ option: EChartsCoreOption; label: string; height?: number }>()
const box = useTemplateRef('box')
const colours = useThemeColours()

onMounted(async () => {
  const [echarts, charts, components, renderers] = await Promise.all([
    import('echarts/core'),
    import('echarts/charts'),
    import('echarts/components'),
    import('echarts/renderers'),
  ])
  if (!box.value) return
  echarts.use([
    charts.LineChart,
    charts.BarChart,
    components.GridComponent,
    components.MarkLineComponent,
    components.LegendComponent,
    renderers.SVGRenderer,
  ])
  const chart = echarts.init(box.value, undefined, { renderer: 'svg' })
  const axis = () => ({
    axisLine: { lineStyle: { color: colours.value.ink } },
    axisLabel: { color: colours.value.soft },
    splitLine: { lineStyle: { color: colours.value.tint } },
    nameTextStyle: { color: colours.value.soft },
  })
  watchEffect(() => {
    const { xAxis, yAxis, ...rest } = props.option
    chart.setOption(
      {
        animation: false,
        textStyle: {
          fontFamily: 'Atkinson Hyperlegible Next Variable, sans-serif',
          fontSize: 13,
          color: colours.value.ink,
        },
        grid: { left: 52, right: 18, top: 34, bottom: 42 },
        legend: { top: 0, right: 8, textStyle: { color: colours.value.ink }, itemWidth: 18 },
        ...rest,
        xAxis: { ...axis(), ...(xAxis as object) },
        yAxis: { ...axis(), ...(yAxis as object) },
      },
      { notMerge: true },
    )
  })
  const seen = new ResizeObserver(() => chart.resize())
  seen.observe(box.value)
  onBeforeUnmount(() => {
    seen.disconnect()
    chart.dispose()
  })
})
</script>

<template>
  <figure class="chart">
    <div ref="box" role="img" :aria-label="label" :style="{ height: `${height ?? 230}px` }" />
  </figure>
</template>

<style scoped>
.chart {
  border: var(--rule-width) solid var(--rule);
  background: var(--sheet);
  padding: 6px;
}
</style>
