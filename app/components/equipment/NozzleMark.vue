<script setup lang="ts">
import { readNozzles } from '#core/calibration/readBenchTest'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook } from '#core/working/working'
import type { BenchTest } from '#shared/schemas/benchTest'

/** The nozzles at their last check, as small bars about their mean. */
const props = defineProps<{ tests: readonly BenchTest[] }>()
const newest = computed(
  () => props.tests.toSorted((a, b) => (a.document.on < b.document.on ? 1 : -1))[0]?.document,
)
const nozzles = computed(() =>
  newest.value?.kind === 'nozzles'
    ? (readNozzles(newest.value, fieldReader(), closedWorkingBook)?.check.nozzles ?? [])
    : [],
)
const right = computed(() => nozzles.value.filter(({ state }) => state === 'right').length)
const WIDE = 7
const HIGH = 26
/** What reaches the edge of the mark; farther off reaches it too. */
const FULL = 0.15
const bars = computed(() =>
  nozzles.value.map(({ off, state }, i) => {
    const high = (HIGH / 2) * Math.min(1, Math.abs(off) / FULL)
    return { x: i * WIDE, y: off > 0 ? HIGH / 2 - high : HIGH / 2, high: Math.max(1, high), state }
  }),
)
</script>

<template>
  <svg
    v-if="bars.length > 0"
    :width="WIDE * bars.length"
    :height="HIGH"
    role="img"
    :aria-label="`Nozzles at their last check: ${right} of ${nozzles.length} right`"
  >
    <rect
      v-for="bar in bars"
      :key="bar.x"
      :x="bar.x"
      :y="bar.y"
      :width="WIDE - 2"
      :height="bar.high"
      :class="bar.state"
    />
    <line x1="0" :x2="WIDE * bars.length" :y1="HIGH / 2" :y2="HIGH / 2" />
  </svg>
</template>

<style scoped>
rect {
  fill: var(--warn);
}
.right {
  fill: var(--good);
}
line {
  stroke: var(--ink);
}
</style>
