<script setup lang="ts">
/**
 * What lies of a year and what this application adds, against a frame: what is wanted, or the most there may
 * be.
 */
const props = defineProps<{
  laid: number
  now: number
  /** From and to, in the unit of the others; both the same where it is a most. */
  frame: readonly [number, number]
  over: boolean
  label: string
}>()
const share = (value: number) => `${(100 * value) / Math.max(props.frame[1], props.laid + props.now)}%`
</script>

<template>
  <div class="bar" role="img" :aria-label="label">
    <span class="laid" :style="{ width: share(laid) }" /><span
      class="now"
      :class="{ over }"
      :style="{ width: share(now) }"
    />
    <span class="frame" :style="{ left: share(frame[0]), right: `calc(100% - ${share(frame[1])})` }" />
  </div>
</template>

<style scoped>
.bar {
  position: relative;
  display: flex;
  height: 14px;
  background: var(--sheet);
  border: var(--rule-width) solid var(--rule);
}
.laid {
  background: var(--soft);
  opacity: 0.6;
}
.now {
  background: var(--dry);
}
.now.over {
  background: var(--warn);
}
.frame {
  position: absolute;
  top: -2px;
  bottom: -2px;
  border: 2px solid var(--ink);
}
</style>
