<script setup lang="ts">
import { compassWords, degreesOf, type CompassPoint } from '#core/ground/compass'

/** Which way the wind blows over the plan. */
const props = defineProps<{ from: CompassPoint; bearing?: number }>()
const towards = computed(() => (degreesOf(props.from) + 180) % 360)
</script>

<template>
  <div class="wind" role="img" :aria-label="`Wind from the ${compassWords(from)}`">
    <svg viewBox="0 0 40 40" width="40" height="40" :style="{ transform: `rotate(${towards}deg)` }">
      <path d="M20 4 L28 20 L22 18 L22 36 L18 36 L18 18 L12 20 Z" fill="currentColor" />
    </svg>
    <span class="small">wind</span>
  </div>
</template>

<style scoped>
.wind {
  position: absolute;
  top: 48px;
  right: 6px;
  z-index: 500;
  display: grid;
  justify-items: center;
  color: var(--wet);
  pointer-events: none;
}
</style>
