<script setup lang="ts">
/** A stopwatch with one large button; what it stops at goes into the field it stands by. */
const emit = defineEmits<{ stop: [seconds: string] }>()
const begun = ref<number>()
const shownSeconds = ref(0)
let timer: ReturnType<typeof setInterval> | undefined
const now = () => (begun.value === undefined ? 0 : (performance.now() - begun.value) / 1000)
function press() {
  if (begun.value === undefined) {
    begun.value = performance.now()
    timer = setInterval(() => {
      shownSeconds.value = now()
    }, 100)
    return
  }
  clearInterval(timer)
  emit('stop', now().toFixed(1))
  shownSeconds.value = now()
  begun.value = undefined
}
onBeforeUnmount(() => clearInterval(timer))
</script>

<template>
  <p class="flex items-center gap-3">
    <UButton
      class="watch"
      :label="begun === undefined ? 'Start the stopwatch' : 'Stop'"
      :color="begun === undefined ? 'neutral' : 'primary'"
      @click="press"
    />
    <span class="figure" role="timer" aria-live="off"
      >{{ shownSeconds.toFixed(1) }}<span class="unit">s</span></span
    >
  </p>
</template>

<style scoped>
.watch {
  min-height: 40px;
}
@media (pointer: coarse) {
  .watch {
    min-height: 56px;
  }
}
</style>
