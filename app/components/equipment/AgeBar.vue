<script setup lang="ts">
/** How much of the time a calibration is trusted has gone. */
const props = defineProps<{ days: number; limit: number }>()
const share = computed(() => Math.min(1, props.days / props.limit))
</script>

<template>
  <span class="bar" :class="{ stale: days > limit }" role="img" :aria-label="`${days} of ${limit} days`"
    ><span class="gone" :style="{ width: `${100 * share}%` }"
  /></span>
</template>

<style scoped>
.bar {
  display: inline-block;
  width: 72px;
  height: 9px;
  border: 1px solid var(--rule-strong);
  background: var(--sheet);
  vertical-align: baseline;
}
.gone {
  display: block;
  height: 100%;
  background: var(--good);
}
.stale .gone {
  background: var(--warn);
}
</style>
