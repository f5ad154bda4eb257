<script setup lang="ts">
import { curveLine } from '#core/calibration/curveLine'
import { spreaderCurve } from '#core/calibration/spreaderCurve'
import type { Calibration } from '#shared/schemas/equipment'

/** A spreader's curve as a small line: flow against setting, with the product it was tried with most. */
const props = defineProps<{ calibrations: readonly Calibration[]; today: string }>()
const WIDE = 84
const HIGH = 26
/** The curve of the product it was tried with at most settings. */
const curve = computed(() =>
  [...new Set(props.calibrations.map(({ document }) => document.course.product ?? ''))]
    .map((product) => ({ product, ...spreaderCurve(props.calibrations, [product], props.today) }))
    .toSorted((a, b) => b.curve.means.length - a.curve.means.length)
    .at(0),
)
const line = computed(() => curve.value && curveLine(curve.value.curve, WIDE, HIGH))
</script>

<template>
  <svg
    v-if="line"
    :width="WIDE"
    :height="HIGH"
    :viewBox="`0 0 ${WIDE} ${HIGH}`"
    role="img"
    :aria-label="`Setting curve with ${curve?.product}`"
  >
    <polyline :points="line.path" class="curve" />
    <circle v-for="(dot, i) in line.dots" :key="i" :cx="dot[0]" :cy="dot[1]" r="2.2" class="dot" />
  </svg>
</template>

<style scoped>
.curve {
  fill: none;
  stroke: var(--dry);
  stroke-width: 1.8;
}
.dot {
  fill: var(--ink);
}
</style>
