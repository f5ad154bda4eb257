<script setup lang="ts">
import type { SaveState } from '~/composables/form/useDraft'

/** Whether what is typed has reached the server, in words. */
const props = defineProps<{ state: SaveState }>()
const words = computed(() => {
  switch (props.state.kind) {
    case 'new':
      return 'nothing typed yet'
    case 'saved':
      return 'saved'
    case 'changed':
    case 'saving':
      return 'saving …'
    case 'kept':
      return `kept on this device, not saved: ${props.state.why}`
    case 'unkept':
      return (
        'not saved, and this device’s store is full: leave this page open and free some space ' +
        `(${props.state.why})`
      )
    case 'conflict':
      return 'changed elsewhere'
    default:
      return props.state satisfies never
  }
})
</script>

<template>
  <span
    class="small soft"
    role="status"
    :class="{ warn: ['kept', 'unkept', 'conflict'].includes(state.kind) }"
    >{{ words }}</span
  >
</template>

<style scoped>
.warn {
  color: var(--warn);
  font-weight: 600;
}
</style>
