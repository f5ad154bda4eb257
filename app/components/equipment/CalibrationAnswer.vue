<script setup lang="ts">
import { SPEED_TRUST } from '#core/calibration/anotherSpeed'
import { errorOfCalibration } from '#core/calibration/calibrationError'
import { sprayMethodOf } from '#core/calibration/courseNote'
import type { MeasuredCourse } from '#core/calibration/measuredCourse'
import type { Course } from '#core/calibration/readCourse'
import { formatGive } from '#core/quantity/format'
import { agreement, runAdvice, SURE_MEAN, UNEVEN_RUNS } from '#core/quantity/repeats'

/**
 * What the runs come to, in one sentence and one figure, how far they agree, and whether another would help.
 */
const props = defineProps<{ measured: MeasuredCourse | undefined; course: Course }>()
const shown = useShown()
const dry = computed(() => props.course.kind === 'spread')
const hoseEnd = computed(
  () => props.course.kind === 'spray' && sprayMethodOf(props.course.note) === 'hose-end',
)
const gives = computed(() => {
  const { measured } = props
  if (!measured) return undefined
  return dry.value
    ? shown.rate(measured.measured.mean, 'mass')
    : hoseEnd.value
      ? shown.rate(measured.measured.mean, 'volume')
      : shown.carrier(measured.measured.mean)
})
const percent = (share: number) => `${(share * 100).toFixed(1)} %`
const spread = computed(() => (props.measured ? agreement(props.measured.measured).share : undefined))
/** Runs, scale, course and width together, two standard deviations. */
const give = computed(() => {
  const { measured } = props
  const error = measured && errorOfCalibration(measured.measured, measured.errors)
  return error === undefined ? undefined : { figure: formatGive(200 * error), unit: '%' }
})
const advice = computed(() => {
  if (!props.measured) return ''
  const { advice: what, error } = runAdvice(props.measured.measured)
  switch (what) {
    case 'two more':
      return 'One run shows no spread: two more would tell how far to trust it.'
    case 'uneven':
      return `That is more than ${UNEVEN_RUNS * 100} %: repeat them at one pace.`
    case 'one more':
      return (
        'One more run would ' +
        'help' +
        (error !== undefined && error > SURE_MEAN
          ? `: their mean is only sure to ${percent(2 * error)}`
          : '') +
        '.'
      )
    case 'enough':
      return `Their mean is sure to ${percent(2 * (error ?? 0))}: that is enough.`
    default:
      return what satisfies never
  }
})
const HOLDS = computed(() =>
  dry.value
    ? 'A setting means nothing without its product, speed and swath.'
    : hoseEnd.value
      ? 'It holds for this head, orifice, product and water pressure; a slow draw also means a blocked head.'
      : 'It holds for this nozzle set, pressure and speed.',
)
</script>

<template>
  <section aria-labelledby="answer-title">
    <h2 id="answer-title">{{ hoseEnd ? 'The bottle draws' : 'One pass puts down' }}</h2>
    <template v-if="measured && gives">
      <p class="answer" :class="dry ? 'dry' : 'wet'">
        <FigureText :shown="gives" page="calibration" label="One pass puts down" />
        <span v-if="give" class="soft give"
          >give or take
          <FigureText :shown="give" page="calibration.give" label="Give or take of the calibration"
        /></span>
      </p>
      <p role="status">
        <template v-if="spread !== undefined"
          >The {{ measured.measured.count }} runs agree within
          <strong>{{ percent(spread) }}</strong> (standard deviation over mean). </template
        >{{ advice }}
      </p>
      <p v-if="measured.speed !== undefined" class="mt-1">
        At <FigureText :shown="shown.speed(measured.speed)" />,
        <FigureText :shown="shown.distance(measured.width)" /> wide.
      </p>
      <p v-else class="soft mt-1">No speed is timed, so the pace can’t correct it later.</p>
      <p class="soft small mt-3">{{ HOLDS }} Trusted near its own speed, within {{ SPEED_TRUST * 100 }} %.</p>
    </template>
    <p v-else class="soft">Type the course and one whole run: the answer stands here.</p>
  </section>
</template>

<style scoped>
.give {
  font-size: var(--text-base, 1rem);
  font-weight: 400;
  white-space: nowrap;
}
.answer {
  font-size: 34px;
  font-weight: 600;
  line-height: 1.2;
  padding: 6px 0;
}
</style>
