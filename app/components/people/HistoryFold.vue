<script setup lang="ts">
/** A button that opens the history of a thing. */
defineProps<{ rowId: string }>()
const open = ref(false)
</script>

<template>
  <UButton label="History" icon="i-lucide-history" variant="link" size="sm" @click="open = true" />
  <LazyHistoryList v-if="open" v-model:open="open" :row-id="rowId" />
</template>
