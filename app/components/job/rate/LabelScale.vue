<script setup lang="ts">
import type { PlanProduct } from '#core/plan/planRequest'
import { labelScale } from '#core/label/labelScale'
import { unitText } from '#core/quantity/systems'

/** The label's own range as a ruled scale, with today's rate as a mark on it. */
const props = defineProps<{ product: PlanProduct; method: 'spread' | 'spray' }>()
const scale = computed(() => labelScale(props.product))
const words = computed(() => {
  const { rate } = props.product
  const label = scale.value && `label ${scale.value.lowText} to ${scale.value.highText} ${scale.value.unit}`
  return `Today ${rate.value} ${rate.unit}; ${label ?? ''}`
})
const percent = (share: number) => `${(share * 100).toFixed(2)}%`
</script>

<template>
  <div v-if="scale" class="scale" :class="method" role="img" :aria-label="words">
    <div class="track">
      <div class="range" :style="{ left: percent(scale.low), width: percent(scale.high - scale.low) }" />
      <div
        class="mark"
        :class="{ outside: scale.today > scale.high || scale.today < scale.low }"
        :style="{ left: percent(scale.today) }"
      />
    </div>
    <div class="soft small flex justify-between">
      <span>label {{ scale.lowText }}</span
      ><span>{{ scale.highText }} {{ unitText(scale.unit) }}</span>
    </div>
  </div>
</template>

<style scoped>
.track {
  position: relative;
  height: 12px;
  margin: 6px 0 2px;
  border: 1px solid var(--rule-strong);
  background: repeating-linear-gradient(
    90deg,
    transparent 0 calc(8.333% - 1px),
    var(--rule) calc(8.333% - 1px) 8.333%
  );
}
.range {
  position: absolute;
  top: -1px;
  bottom: -1px;
  border: 1.5px solid var(--wet);
  background: var(--wet-tint);
}
.spread .range {
  border-color: var(--dry);
  background: var(--dry-tint);
}
.mark {
  position: absolute;
  top: -5px;
  bottom: -5px;
  width: 3px;
  margin-left: -1.5px;
  background: var(--action);
  transition: left 120ms;
}
.mark.outside {
  background: var(--stop);
  width: 5px;
}
</style>
