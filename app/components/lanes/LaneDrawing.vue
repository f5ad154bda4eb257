<script setup lang="ts">
import { boundsOf, type Point } from '#core/ground/plane'
import type { LawnLanes } from '#core/lanes/lawns/workOutLanes'
import type { LaneStop } from '#core/lanes/lawns/laneStops'
import type { MapShape } from '#core/ground/siteLayout'

/** The lanes of one pass over one lawn as a drawing to scale, for paper. */
const props = defineProps<{
  lawn: LawnLanes
  shapes: readonly MapShape[]
  stops: readonly LaneStop[]
  /** From 1. */
  pass: number
}>()
const [WIDE, HIGH, EDGE] = [700, 420, 16]
/** So many numbers can be read beside each other. */
const MOST_NUMBERS = 40
const lanes = computed(() => props.lawn.plan?.passes[props.pass - 1]?.lanes ?? [])
const frame = computed(() => {
  const box = boundsOf(props.shapes.flatMap(({ rings }) => rings.flat()))
  if (!box) return undefined
  const scale = Math.min(
    (WIDE - 2 * EDGE) / (box.maxX - box.minX || 1),
    (HIGH - 2 * EDGE) / (box.maxY - box.minY || 1),
  )
  return {
    at: ([x, y]: Point): Point => [EDGE + (x - box.minX) * scale, EDGE + (box.maxY - y) * scale],
    high: (box.maxY - box.minY) * scale + 2 * EDGE,
  }
})
const path = (line: readonly Point[]) =>
  line
    .map((point) =>
      frame.value
        ?.at(point)
        .map((one) => one.toFixed(1))
        .join(','),
    )
    .join(' ')
const numbers = computed(() => {
  const every = Math.ceil(lanes.value.length / MOST_NUMBERS)
  return lanes.value.flatMap(({ number, line: [begin] }, i) => {
    const place =
      begin && (i % every === 0 || i === lanes.value.length - 1) ? frame.value?.at(begin) : undefined
    return place ? [{ number, x: place[0], y: place[1] }] : []
  })
})
const marks = computed(() =>
  props.stops
    .filter((stop) => stop.lawnId === props.lawn.id && stop.pass === props.pass)
    .flatMap(({ at, afterLane, fill }) => {
      const place = frame.value?.at(at)
      return place ? [{ afterLane, fill, x: place[0], y: place[1] }] : []
    }),
)
</script>

<template>
  <svg
    v-if="frame"
    class="lane-drawing"
    :viewBox="`0 0 ${WIDE} ${frame.high}`"
    role="img"
    :aria-label="`Lanes of pass ${pass} on ${lawn.name}`"
  >
    <polygon
      v-for="(shape, i) in shapes.flatMap(({ sign, rings }) => rings.map((ring) => ({ sign, ring })))"
      :key="`shape ${i}`"
      :points="path(shape.ring)"
      :class="shape.sign"
    />
    <polyline
      v-for="lane in lanes"
      :key="lane.number"
      :points="path(lane.line)"
      :class="lane.header ? 'lap' : 'lane'"
    />
    <circle
      v-for="mark in marks"
      :key="`mark ${mark.afterLane}`"
      :cx="mark.x"
      :cy="mark.y"
      r="6"
      :class="mark.fill === undefined ? 'check' : 'fill'"
    />
    <text v-for="one in numbers" :key="`number ${one.number}`" :x="one.x + 3" :y="one.y - 3">
      {{ one.number }}
    </text>
  </svg>
</template>

<style scoped>
.lane-drawing {
  display: block;
  width: 100%;
  border: var(--rule-width) solid var(--rule);
}
.add {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}
.subtract {
  fill: var(--tint);
  stroke: var(--ink);
  stroke-width: 1;
}
.lane,
.lap {
  fill: none;
  stroke: var(--ink);
  stroke-width: 0.8;
}
.lap {
  stroke-dasharray: 4 2;
}
.check {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 2;
}
.fill {
  fill: var(--ink);
}
text {
  font-size: 11px;
  fill: var(--ink);
  font-family: var(--font-sans);
  font-weight: 600;
}
</style>
