<script setup lang="ts">
import { formatFigure } from '#core/quantity/format'

/** How far each product of a record was from plan, as marks on a line from far under to far over. */
const props = defineProps<{ deviations: readonly number[] }>()
/** What stands at the ends of the line; farther off stands there too. */
const FULL = 0.2
const place = (deviation: number) => `${50 + (50 * Math.max(-FULL, Math.min(FULL, deviation))) / FULL}%`
const words = computed(() =>
  props.deviations
    .map((one) => `${formatFigure(Math.abs(100 * one))} % ${one < 0 ? 'under' : 'over'} the planned rate`)
    .join(', '),
)
</script>

<template>
  <div v-if="deviations.length > 0" class="line" role="img" :aria-label="words">
    <span v-for="(one, i) in deviations" :key="i" class="mark" :style="{ left: place(one) }" />
  </div>
</template>

<style scoped>
.line {
  position: relative;
  width: 96px;
  height: 14px;
  border-bottom: 1px solid var(--rule-strong);
}
.line::before {
  content: '';
  position: absolute;
  left: 50%;
  top: 2px;
  bottom: 0;
  border-left: 1px solid var(--soft);
}
.mark {
  position: absolute;
  bottom: 0;
  width: 4px;
  height: 10px;
  margin-left: -2px;
  background: var(--ink);
}
</style>
