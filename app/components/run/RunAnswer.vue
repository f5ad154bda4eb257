<script setup lang="ts">
/** The sentence that comes back for a number: shape, word and a strip in its colour. */
defineProps<{
  level: 'good' | 'note' | 'warn' | 'stop'
  words: string
  /** The arithmetic behind it. */
  lines?: readonly string[]
}>()
</script>

<template>
  <div class="answer" :data-level="level" role="status">
    <StateMark :level="level" :words="words" class="said" />
    <slot />
    <InlineWorking v-if="lines" :lines="lines" />
  </div>
</template>

<style scoped>
.answer {
  margin: 14px 0;
  padding: 2px 0 2px 14px;
  border-left: 6px solid var(--rule-strong);
  font-size: 19px;
  line-height: 1.3;
}
.answer[data-level='good'] {
  border-color: var(--good);
}
.answer[data-level='warn'] {
  border-color: var(--warn);
}
.answer[data-level='stop'] {
  border-color: var(--stop);
}
.said {
  font-weight: 700;
}
</style>
