<script setup lang="ts">
import { graduations } from '#core/plan/graduations'

/** A tank or hopper as a column drawn to scale, with graduations in the unit it is measured in. */
const props = defineProps<{
  full: number
  filled: number
  unit: string
  kind: 'wet' | 'dry'
  levels?: readonly { readonly at: number; readonly text: string }[]
}>()
const HEIGHT = 200
const WIDTH = 74
const y = (amount: number) => HEIGHT - (amount / props.full) * (HEIGHT - 6)
const marks = computed(() => graduations(props.full))
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    :width="WIDTH"
    :height="HEIGHT"
    class="vessel shrink-0"
    :class="kind"
    role="img"
    :aria-label="`${filled.toFixed(1)} of ${full.toFixed(1)} ${unit}`"
  >
    <path :d="`M1 0 V${HEIGHT - 9} q0 8 8 8 H${WIDTH - 9} q8 0 8 -8 V0`" class="wall" />
    <clipPath :id="`in-${filled}-${full}`">
      <path :d="`M1 0 V${HEIGHT - 9} q0 8 8 8 H${WIDTH - 9} q8 0 8 -8 V0 Z`" />
    </clipPath>
    <rect
      x="1"
      :y="y(filled)"
      :width="WIDTH - 2"
      :height="HEIGHT - y(filled)"
      class="content"
      :clip-path="`url(#in-${filled}-${full})`"
    />
    <line x1="1" :x2="WIDTH - 1" :y1="y(filled)" :y2="y(filled)" class="surface" />
    <g v-for="mark in marks" :key="mark">
      <line x1="1" x2="13" :y1="y(mark)" :y2="y(mark)" class="tick" />
      <text x="17" :y="y(mark) + 4">{{ mark }}</text>
    </g>
    <g v-for="level in levels ?? []" :key="level.text">
      <line x1="38" :x2="WIDTH - 1" :y1="y(level.at)" :y2="y(level.at)" class="level" />
      <text :x="WIDTH - 4" :y="y(level.at) - 3" text-anchor="end" class="level-text">{{ level.text }}</text>
    </g>
  </svg>
</template>

<style scoped>
.wall {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.content {
  fill: var(--wet-tint);
  transition:
    y 150ms,
    height 150ms;
}
.dry .content {
  fill: var(--dry-tint);
}
.surface {
  stroke: var(--wet);
  stroke-width: 2;
}
.dry .surface {
  stroke: var(--dry);
  stroke-dasharray: 4 2;
}
.tick {
  stroke: var(--ink);
  stroke-width: 1.2;
}
.level {
  stroke: var(--action);
  stroke-width: 1.6;
}
text {
  font-family: var(--font-mono);
  font-size: 11px;
  fill: var(--ink);
}
.level-text {
  font-family: var(--font-sans);
  font-size: 11px;
}
</style>
