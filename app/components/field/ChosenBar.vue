<script setup lang="ts">
/** How many rows are chosen, what can be done with all of them at once, and the way out. */
defineProps<{ count: number; what: string }>()
const emit = defineEmits<{ done: [] }>()
</script>

<template>
  <div role="group" :aria-label="`With the ${what} chosen`" class="bar">
    <strong role="status">{{ count === 0 ? `Tick the ${what}` : `${count} chosen` }}</strong>
    <slot v-if="count > 0" />
    <UButton class="ms-auto" variant="ghost" label="Done" @click="emit('done')" />
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
  min-height: 52px;
  padding: 6px 12px;
  margin-top: 10px;
  background: var(--sheet);
  border-block: var(--rule-width) solid var(--rule-strong);
}
</style>
