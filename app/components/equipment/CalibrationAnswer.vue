<script setup lang="ts">
import type { MeasuredCourse } from '#core/calibration/readCourse'
import { formatFigure } from '#core/quantity/format'

/** What the runs come to, in one sentence and one figure, and how far they agree. */
const props = defineProps<{ measured: MeasuredCourse | undefined, kind: 'spread' | 'spray' }>()
const shown = useShown()
const gives = computed(() => props.measured && (props.kind === 'spread' ? shown.rate(props.measured.measured.mean, 'mass') : shown.carrier(props.measured.measured.mean)))
const spread = computed(() => {
  const { sd, mean } = props.measured?.measured ?? {}
  return sd === undefined || mean === undefined ? undefined : (100 * sd) / mean
})
</script>

<template>
  <section aria-labelledby="answer-title">
    <h2 id="answer-title">One pass puts down</h2>
    <template v-if="measured && gives">
      <p class="answer" :class="kind === 'spread' ? 'dry' : 'wet'"><FigureText :shown="gives" page="calibration" label="One pass puts down" /></p>
      <p v-if="spread !== undefined">The {{ measured.measured.count }} runs agree within <strong>{{ formatFigure(spread) }} %</strong> (standard deviation over mean).<template v-if="spread > 5"> That is more than 5 %: repeat them at one pace.</template></p>
      <p v-else>One run shows no spread: two more would tell how far to trust it.</p>
      <p v-if="measured.speed === undefined" class="soft mt-1">No speed is timed, so the pace can’t correct it later.</p>
      <p class="soft small mt-3">{{ kind === 'spread' ? 'A setting means nothing without its product, speed and swath.' : 'It holds for this nozzle set, pressure and speed.' }} Trusted near its own speed, within 15 %.</p>
    </template>
    <p v-else class="soft">Type the course and one whole run: the answer stands here.</p>
  </section>
</template>

<style scoped>
.answer { font-size: 34px; font-weight: 600; line-height: 1.2; padding: 6px 0; }
</style>
