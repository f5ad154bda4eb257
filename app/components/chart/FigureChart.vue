<script setup lang="ts">
import type { EChartsCoreOption } from 'echarts/core'

/** The figures of a chart, for whoever would rather read them or can't see it. */
export interface ChartTable {
  readonly heads: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

/** Figures drawn: lines, bars and limits. What it says is also said in words beside it, or in its table. */
const props = defineProps<{
  option: EChartsCoreOption
  label: string
  height?: number
  table?: ChartTable
  /** Without a frame: it is part of a larger picture. */
  bare?: boolean
  /** Drawn point by point: for thousands of them that are moved under the finger. */
  many?: boolean
}>()
/** Fetched with the first chart that is shown. */
const chart = defineAsyncComponent(() => import('./charts'))
const colours = useThemeColours()
const axis = () => ({
  axisLine: { lineStyle: { color: colours.value.ink } },
  axisLabel: { color: colours.value.soft },
  splitLine: { lineStyle: { color: colours.value.tint } },
  nameTextStyle: { color: colours.value.soft },
})
/** One axis or several, each in our colours where it says nothing else. */
const styled = (axes: unknown) =>
  Array.isArray(axes)
    ? axes.map((one: object) => ({ ...axis(), ...one }))
    : { ...axis(), ...(axes as object) }
const whole = computed(() => {
  const { xAxis, yAxis, ...rest } = props.option
  return {
    animation: false,
    textStyle: {
      fontFamily: 'Atkinson Hyperlegible Next Variable, sans-serif',
      fontSize: 13,
      color: colours.value.ink,
    },
    grid: { left: 52, right: 18, top: 34, bottom: 42 },
    legend: { top: 0, right: 8, textStyle: { color: colours.value.ink }, itemWidth: 18 },
    ...rest,
    xAxis: styled(xAxis),
    yAxis: styled(yAxis),
  }
})
const open = ref(false)
const columns = computed(() => (props.table?.heads ?? []).map((head, i) => ({ key: String(i), head })))
const rows = computed(() => (props.table?.rows ?? []).map((cells, i) => ({ id: String(i), cells })))
</script>

<template>
  <figure :class="{ chart: !bare }">
    <div role="img" :aria-label="label" :style="{ height: `${height ?? 230}px` }">
      <component
        :is="chart"
        :option="whole"
        :init-options="{ renderer: many ? 'canvas' : 'svg' }"
        :update-options="{ notMerge: true }"
        autoresize
      />
    </div>
    <figcaption v-if="table" class="px-2 pb-1">
      <UButton
        variant="link"
        size="sm"
        :aria-expanded="open"
        :label="open ? 'Hide the figures' : 'As a table'"
        @click="open = !open"
      />
      <RowTable v-if="open" :caption="label" :rows="rows" :columns="columns" :key-of="({ id }) => id" stacked>
        <template v-for="{ key } in columns" :key="key" #[key]="{ row }">{{
          row.cells[Number(key)]
        }}</template>
      </RowTable>
    </figcaption>
  </figure>
</template>

<style scoped>
.chart {
  border: var(--rule-width) solid var(--rule);
  background: var(--sheet);
  padding: 6px;
}
</style>
