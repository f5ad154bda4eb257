<script setup lang="ts">
/** A state by shape, word and colour. */
const { level } = defineProps<{ level: keyof typeof MARKS; words: string }>()
</script>

<script lang="ts">
const MARKS = {
  stop: 'i-lucide-octagon-x',
  warn: 'i-lucide-triangle-alert',
  note: 'i-lucide-info',
  good: 'i-lucide-circle-check',
  open: 'i-lucide-circle-dashed',
  set: 'i-lucide-circle-dot',
  running: 'i-lucide-play',
  off: 'i-lucide-minus',
} as const
</script>

<template>
  <span class="mark" :data-level="level"><UIcon :name="MARKS[level]" class="shape" />{{ words }}</span>
</template>

<style scoped>
.mark {
  display: inline-flex;
  gap: 6px;
  align-items: baseline;
}
.shape {
  flex: none;
  width: 1.05em;
  height: 1.05em;
  position: relative;
  top: 0.15em;
}
[data-level='stop'] {
  color: var(--stop);
  font-weight: 600;
}
[data-level='warn'] {
  color: var(--warn);
  font-weight: 600;
}
[data-level='good'] {
  color: var(--good);
}
[data-level='running'] {
  color: var(--action);
  font-weight: 600;
}
[data-level='open'],
[data-level='off'] {
  color: var(--soft);
}
</style>
