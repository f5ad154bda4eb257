<script setup lang="ts">
import { NOZZLE_LIMIT } from '#core/calibration/nozzleFlow'
import type { ReadNozzles } from '#core/calibration/readBenchTest'
import { formatFigure } from '#core/quantity/format'
import { CUBIC_METRES_PER } from '#core/quantity/units'
import type { NozzleBenchTest } from '#core/calibration/benchTestShape'

/**
 * What a nozzle check says: which to clean or replace, the carrier at this speed, and what reaches the one
 * wanted.
 */
const props = defineProps<{ read: ReadNozzles | undefined; trial: NozzleBenchTest }>()
const shown = useShown()
const colours = useThemeColours()
const perMinute = (flow: number) => {
  const unit = props.trial.catches[0]?.unit ?? 'fl oz'
  return { figure: formatFigure((flow * 60) / CUBIC_METRES_PER[unit]), unit: `${unit} / min` }
}
const COLUMNS = [
  { key: 'nozzle', head: 'Nozzle' },
  { key: 'flow', head: 'Flow', numeric: true },
  { key: 'off', head: 'off the mean', numeric: true },
  { key: 'is', head: 'It is' },
] as const
const WORDS = {
  right: 'right',
  high: 'high: clean, try again',
  low: 'low: clean, try again',
  blocked: 'blocked: clean',
  worn: 'worn',
} as const
const bars = computed(() => {
  const { read } = props
  if (!read) return undefined
  const span = Math.min(
    40,
    Math.max(10, ...read.check.nozzles.map(({ off }) => 5 * Math.ceil(20 * Math.abs(off)))),
  )
  const colour = {
    right: colours.value.good,
    high: colours.value.warn,
    low: colours.value.warn,
    blocked: colours.value.stop,
    worn: colours.value.stop,
  }
  return {
    legend: { show: false },
    xAxis: {
      type: 'category',
      data: read.check.nozzles.map((_, i) => i + 1),
      name: 'nozzle',
      nameLocation: 'middle',
      nameGap: 26,
    },
    yAxis: { type: 'value', name: '% off the mean', min: -span, max: span },
    series: [
      {
        type: 'bar',
        data: read.check.nozzles.map(({ off, state }) => ({
          value: Math.max(-40, Math.min(40, 100 * off)),
          itemStyle: { color: colour[state] },
        })),
        markLine: {
          symbol: 'none',
          silent: true,
          label: { show: false },
          lineStyle: { color: colours.value.action },
          data: [{ yAxis: 100 * NOZZLE_LIMIT }, { yAxis: -100 * NOZZLE_LIMIT }],
        },
      },
    ],
  }
})
</script>

<template>
  <section aria-label="What it says" class="space-y-3">
    <p v-if="!read" class="soft">
      Type the time and the catches: the nozzles, their flow and the carrier stand here as you go.
    </p>
    <template v-else>
      <p v-if="read.carrier !== undefined && read.speed" role="status">
        <strong class="figure wet"
          ><FigureText :shown="shown.carrier(read.carrier)" page="carrier" label="Carrier" /></strong
        ><span class="soft">
          at <FigureText :shown="shown.speed(read.speed.mean)" page="speed" label="Speed"
        /></span>
      </p>
      <p>
        Each gives <FigureText :shown="perMinute(read.check.mean)" /> on the mean, all together
        <FigureText :shown="perMinute(read.check.total)" />.
      </p>
      <BoomReply :asked="read.asked" :fan="read.fan" :trial="trial" />
      <FigureChart v-if="bars" :option="bars" label="Each nozzle against the mean, with the limits" />
      <RowTable
        caption="Each nozzle"
        :rows="read.check.nozzles.map((nozzle, i) => ({ ...nozzle, number: i + 1 }))"
        :columns="COLUMNS"
        :key-of="({ number }) => String(number)"
      >
        <template #nozzle="{ row }">{{ row.number }}</template>
        <template #flow="{ row }"><FigureText :shown="perMinute(row.flow)" /></template>
        <template #off="{ row }">{{ (100 * row.off).toFixed(1) }} %</template>
        <template #is="{ row }">{{ WORDS[row.state] }}</template>
      </RowTable>
    </template>
  </section>
</template>
