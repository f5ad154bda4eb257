<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { RegulatorCount } from '#core/season/areaSeason'
import { suppression } from '#core/season/suppression'

/** The course of growth under a regulator: held back, coming back, overshooting; a model, without a depth. */
const props = defineProps<{ count: RegulatorCount }>()
const [WIDTH, HEIGHT] = [300, 64]
const MIDDLE = 28
const DEPTH = 24
/** Drawn to twice the threshold, where all is over. */
const SPAN = 2
const STEPS = 60
const short = (day: string) => dayText(day).replace(/ \d{4}$/, '')
const place = (units: number) => {
  const { shape } = suppression(units, props.count.threshold)
  return { x: (WIDTH * units) / (SPAN * props.count.threshold), y: MIDDLE - DEPTH * shape }
}
const line = computed(() =>
  Array.from({ length: STEPS + 1 }, (_, i) => place((SPAN * props.count.threshold * i) / STEPS))
    .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
    .join(' '),
)
const now = computed(() =>
  props.count.sum === undefined ? undefined : place(Math.min(props.count.sum, SPAN * props.count.threshold)),
)
const PHASES = {
  falls: 'held back, and more so yet',
  'comes back': 'held back, coming back',
  overshoots: 'over its usual growth',
  over: 'as without it',
} as const
const words = computed(() => {
  const { product, sum, countedTo, threshold, due, known, early, late, growth } = props.count
  const units =
    sum === undefined ? 'units not known' : `${Math.round(sum)} of ${threshold} units to ${short(countedTo)}`
  const comes =
    due === undefined
      ? ''
      : `; back ${known ? 'on' : 'about'} ${short(due)}` +
        (early && late && early !== late ? `, between ${short(early)} and ${short(late)}` : '')
  return `${product}: ${units}, ${growth ? PHASES[growth.phase] : 'growth not known'}${comes}.`
})
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" class="curve" aria-hidden="true">
      <line x1="0" :x2="WIDTH" :y1="MIDDLE" :y2="MIDDLE" class="usual" />
      <line :x1="WIDTH / SPAN" :x2="WIDTH / SPAN" y1="4" :y2="HEIGHT - 4" class="threshold" />
      <polyline :points="line" class="course" />
      <circle v-if="now" :cx="now.x" :cy="now.y" r="5" class="now" />
    </svg>
    <figcaption class="small">{{ words }} <span class="soft">A model of the course alone.</span></figcaption>
  </figure>
</template>

<style scoped>
.curve {
  width: 100%;
  max-width: 340px;
  height: auto;
}
.usual {
  stroke: var(--rule-strong);
}
.threshold {
  stroke: var(--ink);
  stroke-dasharray: 3 3;
}
.course {
  fill: none;
  stroke: var(--wet);
  stroke-width: 2;
}
.now {
  fill: var(--ink);
  stroke: var(--paper);
  stroke-width: 2;
}
</style>
