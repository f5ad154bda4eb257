<script setup lang="ts">
import { SPEED_TRUST } from '#core/calibration/anotherSpeed'
import { agreement, UNEVEN_RUNS } from '#core/quantity/repeats'
import type { MeasuredCourse } from '#core/calibration/readCourse'
import { formatFigure } from '#core/quantity/format'

/** What the runs come to, in one sentence and one figure, and how far they agree. */
const props = defineProps<{ measured: MeasuredCourse | undefined, kind: 'spread' | 'spray' }>()
const shown = useShown()
const gives = computed(() => props.measured && (props.kind === 'spread' ? shown.rate(props.measured.measured.mean, 'mass') : shown.carrier(props.measured.measured.mean)))
const runs = computed(() => props.measured && agreement(props.measured.measured))
const percent = (share: number) => `${formatFigure(share * 100)} %`
</script>

<template>
  <section aria-labelledby="answer-title">
    <h2 id="answer-title">One pass puts down</h2>
    <template v-if="measured && gives">
      <p class="answer" :class="kind === 'spread' ? 'dry' : 'wet'"><FigureText :shown="gives" page="calibration" label="One pass puts down" /></p>
      <p v-if="runs?.share !== undefined">The {{ measured.measured.count }} runs agree within <strong>{{ percent(runs.share) }}</strong> (standard deviation over mean).<template v-if="runs.state === 'uneven'"> That is more than {{ UNEVEN_RUNS * 100 }} %: repeat them at one pace.</template></p>
      <p v-else>One run shows no spread: two more would tell how far to trust it.</p>
      <p v-if="measured.speed === undefined" class="soft mt-1">No speed is timed, so the pace can’t correct it later.</p>
      <p class="soft small mt-3">{{ kind === 'spread' ? 'A setting means nothing without its product, speed and swath.' : 'It holds for this nozzle set, pressure and speed.' }} Trusted near its own speed, within {{ SPEED_TRUST * 100 }} %.</p>
    </template>
    <p v-else class="soft">Type the course and one whole run: the answer stands here.</p>
  </section>
</template>

<style scoped>
.answer { font-size: 34px; font-weight: 600; line-height: 1.2; padding: 6px 0; }
</style>
