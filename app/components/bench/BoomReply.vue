<script setup lang="ts">
import { LEAST_OVERLAP, type BoomAsk, type Fan } from '#core/calibration/readBoomAsk'
import type { BoomUnknown } from '#core/calibration/solveBoom'
import type { NozzleBenchTest } from '#core/calibration/benchTestShape'
import { formatFigure } from '#core/quantity/format'
import type { Shown } from '#core/quantity/systems'
import { CUBIC_METRES_PER, PASCALS_PER } from '#core/quantity/units'

/** The one unknown, with what is practical, and how the fans overlap. */
const props = defineProps<{ asked: BoomAsk | undefined; fan: Fan | undefined; trial: NozzleBenchTest }>()
const shown = useShown()
const inPressure = (pascals: number): Shown => ({
  figure: formatFigure(pascals / PASCALS_PER[props.trial.pressure.now.unit]),
  unit: props.trial.pressure.now.unit,
})
function perMinute(flow: number): Shown {
  const unit = props.trial.catches[0]?.unit ?? 'fl oz'
  return { figure: formatFigure((flow * 60) / CUBIC_METRES_PER[unit]), unit: `${unit} / min` }
}
const SHOW: Readonly<Record<BoomUnknown, (value: number) => Shown>> = {
  speed: shown.speed,
  pressure: inPressure,
  flow: perMinute,
  spacing: shown.distance,
  carrier: shown.carrier,
}
const LEADS: Readonly<Record<BoomUnknown, string>> = {
  speed: 'drive',
  pressure: 'set',
  flow: 'each nozzle must give',
  spacing: 'space the nozzles',
  carrier: 'The carrier is',
}
const LABELS: Readonly<Record<BoomUnknown, string>> = {
  speed: 'Speed for the carrier wanted',
  pressure: 'Pressure for the carrier wanted',
  flow: 'Nozzle flow for the carrier wanted',
  spacing: 'Spacing for the carrier wanted',
  carrier: 'Carrier',
}
const told = ({ figure, unit }: Shown) => `${figure} ${unit}`

const limitWords = computed(() => {
  const { answer, unknown, pace } = props.asked ?? {}
  if (!answer?.ok || !unknown) return ''
  const { state, limits } = answer.value
  const range = `${told(SHOW[unknown](limits.low))} to ${told(SHOW[unknown](limits.high))}`
  if (state !== 'practical')
    return (
      `That is ${state} to be practical ` +
      `(${range}${unknown === 'pressure' ? ', the nozzle’s range' : ''}): change one of the others.`
    )
  if (pace === undefined) return `Practical: ${range}.`
  return pace === 'trusted'
    ? 'Near enough to the speed timed.'
    : 'Far from the speed timed: time the course again there.'
})
const refusal = computed(() => {
  const { answer } = props.asked ?? {}
  if (!answer || answer.ok) return ''
  const { error } = answer
  if (error.kind === 'outOfRange')
    return (
      `The nozzle works from ${told(inPressure(error.range.low))} to ` +
      `${told(inPressure(error.range.high))} only: beyond it the flow is not known.`
    )
  return {
    carrier: 'Say which carrier is wanted.',
    speed: 'Time a course, or type a speed.',
    spacing: 'The nozzle spacing is still missing.',
    pressure: 'Say at which pressure the nozzles were caught.',
    range: 'Say from which to which pressure the nozzle works.',
  }[error.what]
})
const pressureWords = computed(() => {
  const { pressure } = props.asked ?? {}
  if (!pressure) return ''
  const set = told(inPressure(pressure.pressure))
  return pressure.within === 'range'
    ? `Or keep the speed and set ${set}.`
    : `At this speed it would need ${set}, ${pressure.within === 'too-high' ? 'above' : 'below'} what ` +
        'this nozzle works at: change speed or nozzles.'
})
const FAN_WORDS = {
  covered: 'enough',
  thin: `less than ${100 * LEAST_OVERLAP} %: raise the boom or bring the nozzles nearer`,
  gap: 'a gap between the fans: raise the boom or bring the nozzles nearer',
} as const
</script>

<template>
  <p v-if="asked?.answer.ok">
    <template v-if="asked.carrier !== undefined"
      >For <FigureText :shown="shown.carrier(asked.carrier)" />{{ ' ' }}</template
    >{{ LEADS[asked.unknown] }}
    <strong
      ><FigureText
        :shown="SHOW[asked.unknown](asked.answer.value.value)"
        page="asked"
        :label="LABELS[asked.unknown]" /></strong
    >. {{ limitWords }} {{ pressureWords }}
  </p>
  <p v-else-if="refusal" class="soft">{{ refusal }}</p>
  <p v-if="fan">
    One fan covers
    <FigureText :shown="shown.distance(fan.width)" page="fan" label="Width of a fan" /><template
      v-if="fan.overlap !== undefined && fan.state"
      >,
      <span :class="{ astray: fan.state !== 'covered' }"
        ><template v-if="fan.state !== 'covered'"
          ><UIcon name="i-lucide-triangle-alert" class="me-1 align-[-2px]" /></template
        >{{ fan.overlap < 0 ? '' : `${(100 * fan.overlap).toFixed(0)} % of it overlaps: `
        }}{{ FAN_WORDS[fan.state] }}</span
      ></template
    >.
  </p>
</template>

<style scoped>
.astray {
  color: var(--warn);
  font-weight: 600;
}
</style>
