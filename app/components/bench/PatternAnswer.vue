<script setup lang="ts">
import type { ReadPattern } from '#core/calibration/readBenchTest'
import type { PatternBenchTest } from '#core/calibration/benchTestShape'
import { depositAt, groundRateAt, TRAVELS, variationCurve } from '#core/calibration/trayPattern'

/**
 * What a tray test says: the swath, how even it is, and what to adjust; with the pictures that make it
 * believable.
 */
const props = defineProps<{ read: ReadPattern | undefined; trial: PatternBenchTest; taken: boolean }>()
const emit = defineEmits<{ take: [metres: number] }>()
const shown = useShown()
const crew = useCrewStore()
const colours = useThemeColours()
const inUnit = (metres: number) => metres / (crew.units.startsWith('metric') ? 1 : 0.3048)
const unit = computed(() => (crew.units.startsWith('metric') ? 'm' : 'ft'))
/** The spacing in mind is what will be walked, so it is what the machine takes. */
const told = (metres: number) => {
  const { figure, unit: own } = shown.distance(metres)
  return `${figure} ${own}`
}
const percent = (share: number) => `${(100 * share).toFixed(0)} %`
const SKEW_WORDS = {
  even: 'Left and right are even.',
  left:
    'More falls to the left: shift the drop point or the ramp to the right, a little at a time, and test ' +
    'again.',
  right:
    'More falls to the right: shift the drop point or the ramp to the left, a little at a time, and ' +
    'test again.',
} as const

const crossing = computed(() => {
  const { read } = props
  if (!read) return undefined
  const { profile, lane } = read
  const reach = (profile.places.at(-1) ?? 0) + profile.spacing
  const xs = Array.from({ length: 161 }, (_, i) => -reach + (2 * reach * i) / 160)
  const most = Math.max(...profile.deposits)
  const line = (name: string, at: (x: number) => number, color: string, width: number, dash?: string) => ({
    name,
    type: 'line',
    showSymbol: false,
    lineStyle: { color, width, ...(dash && { type: dash }) },
    itemStyle: { color },
    data: xs.map((x) => [inUnit(x), (100 * at(x)) / most]),
  })
  return {
    xAxis: {
      type: 'value',
      name: `across, ${unit.value}`,
      nameLocation: 'middle',
      nameGap: 26,
      min: Math.round(inUnit(-reach)),
      max: Math.round(inUnit(reach)),
    },
    yAxis: {
      type: 'value',
      name: '% of most',
      axisLine: { onZero: false, lineStyle: { color: colours.value.ink } },
    },
    series: [
      line('this lane', (x) => depositAt(profile, x), colours.value.dry, 2.5),
      ...(lane === undefined
        ? []
        : [
            line(
              'its neighbours',
              (x) => groundRateAt(profile, lane, props.trial.travel, x) - depositAt(profile, x),
              colours.value.soft,
              1.4,
              'dashed',
            ),
            line(
              'together on the ground',
              (x) => groundRateAt(profile, lane, props.trial.travel, x),
              colours.value.ink,
              2,
            ),
          ]),
    ],
  }
})
const evenness = computed(() => {
  const { read, trial } = props
  if (!read) return undefined
  const limit = Number(trial.limit.text) || 0
  const names = { 'one-way': 'all one way', 'back-and-forth': 'back and forth' } as const
  const mark = (x: number | undefined) => (x === undefined ? [] : [{ xAxis: inUnit(x) }])
  return {
    xAxis: {
      type: 'value',
      name: `lane spacing, ${unit.value}`,
      nameLocation: 'middle',
      nameGap: 26,
      min: 'dataMin',
      axisLabel: { color: colours.value.soft, formatter: (value: number) => value.toFixed(0) },
    },
    yAxis: { type: 'value', name: 'CV, %', min: 0, max: 100 },
    series: TRAVELS.map((travel) => ({
      name: names[travel],
      type: 'line',
      showSymbol: false,
      lineStyle: {
        width: travel === trial.travel ? 2.5 : 1.2,
        color: travel === trial.travel ? colours.value.ink : colours.value.soft,
      },
      itemStyle: { color: travel === trial.travel ? colours.value.ink : colours.value.soft },
      data: variationCurve(read.profile, travel, 160).map(({ lane, cv }) => [
        inUnit(lane),
        Math.min(100, 100 * cv),
      ]),
      ...(travel === trial.travel && {
        markLine: {
          symbol: 'none',
          silent: true,
          label: { show: false },
          lineStyle: { color: colours.value.action, width: 1.5 },
          data: [{ yAxis: limit }, ...mark(read.swath.swath)],
        },
      }),
    })),
  }
})
</script>

<template>
  <section aria-label="What it says" class="space-y-3">
    <p v-if="!read" class="soft">
      Type the spacing and the catches: the pattern and its swath stand here as you go.
    </p>
    <template v-else>
      <p role="status">
        <strong v-if="read.swath.swath !== undefined" class="figure"
          ><FigureText :shown="shown.distance(read.swath.swath)" page="swath" label="Effective swath"
        /></strong>
        <strong v-else class="figure">No lane spacing is even enough</strong>
        <span class="soft">
          effective swath<template v-if="read.swath.cv !== undefined"
            >, CV {{ percent(read.swath.cv) }}</template
          ><template v-if="read.half !== undefined"
            >; half-rate width
            <FigureText :shown="shown.distance(read.half)" page="half" label="Half-rate width" /></template
        ></span>
      </p>
      <p v-if="read.edges === 'ended'">
        <StateMark
          level="warn"
          :words="`The outermost trays still caught something: the throw goes on beyond them${
            read.half === undefined ? ', and a half-rate width can’t be told' : ''
          }. Put out more trays before this swath is trusted.`"
        />
      </p>
      <p v-if="trial.lane.text && read.cv !== undefined && read.lane !== undefined">
        Lanes <FigureText :shown="shown.distance(read.lane)" /> apart: CV
        <strong>{{ percent(read.cv) }}</strong>.
      </p>
      <p v-if="read.skew.side === 'even'">{{ SKEW_WORDS.even }}</p>
      <p v-else><StateMark level="warn" :words="SKEW_WORDS[read.skew.side]" /></p>
      <p v-if="read.rate">
        One pass puts down
        <FigureText
          :shown="shown.rate(read.rate.perArea, read.rate.dimension)"
          page="pattern.rate"
          label="One pass"
        />
        on these lanes.
      </p>
      <FigureChart
        v-if="crossing"
        :option="crossing"
        label="Deposit across the throw, with its neighbours and their sum"
      />
      <FigureChart
        v-if="evenness"
        :option="evenness"
        label="CV against lane spacing for both ways of driving"
        :height="210"
      />
      <p v-if="read.lane !== undefined">
        <UButton
          color="primary"
          variant="solid"
          :label="
            taken
              ? `${told(read.lane)} is this spreader’s swath`
              : `Take ${told(read.lane)} as this spreader’s swath`
          "
          :disabled="taken"
          @click="emit('take', read.lane)"
        />
      </p>
      <p class="soft small">
        Two passes at right angles even things out but do not cure a bad swath. A swath holds for this
        product, setting and pace.
      </p>
    </template>
  </section>
</template>
