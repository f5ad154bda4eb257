<script setup lang="ts">
/**
 * A stopwatch with one large button, read at arm's length; it sounds at every half minute, for the eyes are
 * on the nozzle. What it stops at goes into the field it stands by.
 */
const emit = defineEmits<{ stop: [seconds: string] }>()
const HALF_MINUTE = 30
const begun = ref<number>()
const seconds = ref(0)
const tone = useTone()
let timer: ReturnType<typeof setInterval> | undefined
const halves = computed(() => Math.floor(seconds.value / HALF_MINUTE))
const now = () => (begun.value === undefined ? 0 : (performance.now() - begun.value) / 1000)
function press() {
  if (begun.value === undefined) {
    tone.ready()
    begun.value = performance.now()
    seconds.value = 0
    timer = setInterval(() => {
      seconds.value = now()
    }, 100)
    return
  }
  clearInterval(timer)
  emit('stop', now().toFixed(1))
  seconds.value = now()
  begun.value = undefined
}
watch(halves, (count) => {
  if (begun.value !== undefined && count > 0) tone.sound()
})
onBeforeUnmount(() => {
  clearInterval(timer)
  tone.end()
})
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
    <UButton
      class="watch"
      icon="i-lucide-timer"
      :label="begun === undefined ? 'Start the stopwatch' : 'Stop'"
      :color="begun === undefined ? 'neutral' : 'primary'"
      :variant="begun === undefined ? 'outline' : 'solid'"
      @click="press"
    />
    <span class="time" :class="{ runs: begun !== undefined }" role="timer" aria-live="off"
      >{{ seconds.toFixed(1) }}<span class="unit">s</span></span
    >
    <span class="soft small" role="status">{{
      begun !== undefined && halves > 0 ? `${halves * HALF_MINUTE} s are over` : 'sounds at the half minute'
    }}</span>
  </div>
</template>

<style scoped>
.watch {
  min-height: 48px;
}
.time {
  font-size: 44px;
  font-weight: 600;
  line-height: 1;
  font-variant-numeric: tabular-nums;
  min-width: 4.4ch;
}
.runs {
  color: var(--action);
}
@media (pointer: coarse) {
  .watch {
    min-height: 64px;
    flex: 1 1 160px;
  }
}
</style>
