<script setup lang="ts">
/** An empty place teaches: one sentence and the one action that fills it. */
defineProps<{ words: string; action?: string; to?: string }>()
const emit = defineEmits<{ act: [] }>()
</script>

<template>
  <div class="px-6 py-10">
    <p class="text-lg">{{ words }}</p>
    <UButton
      v-if="action"
      class="mt-4"
      color="primary"
      variant="solid"
      :label="action"
      :to="to"
      @click="emit('act')"
    />
  </div>
</template>
