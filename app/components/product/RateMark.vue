<script setup lang="ts">
import { lineScale } from '#core/label/labelScale'
import { unitText } from '#core/quantity/systems'
import type { RateLine } from '#core/label/productShape'

/** A label's usual range as a small ruled line, its usual rate a mark on it. */
const props = defineProps<{ line: RateLine; dry?: boolean }>()
const scale = computed(() => lineScale(props.line))
const percent = (share: number) => `${(share * 100).toFixed(1)}%`
</script>

<template>
  <div
    v-if="scale"
    class="track"
    :class="{ dry }"
    role="img"
    :aria-label="`Label ${scale.lowText} to ${scale.highText} ${unitText(scale.unit)}`"
  >
    <div class="range" :style="{ left: percent(scale.low), width: percent(scale.high - scale.low) }" />
    <div class="mark" :style="{ left: percent(scale.today) }" />
  </div>
</template>

<style scoped>
.track {
  position: relative;
  width: 96px;
  height: 9px;
  border: 1px solid var(--rule-strong);
}
.range {
  position: absolute;
  inset: -1px auto -1px 0;
  border: 1.5px solid var(--wet);
  background: var(--wet-tint);
}
.dry .range {
  border-color: var(--dry);
  background: var(--dry-tint);
}
.mark {
  position: absolute;
  top: -4px;
  bottom: -4px;
  width: 3px;
  margin-left: -1.5px;
  background: var(--ink);
}
</style>
