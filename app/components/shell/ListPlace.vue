<script setup lang="ts">
/**
 * A place that lists what there is: its head, what to look for, and below it the rows, or why there are none
 * and the one action that changes that.
 */
defineProps<{
  name: string
  loading: boolean
  problem?: string
  /** Why there are no rows; absent where there are some. */
  empty?: { readonly words: string; readonly action?: string; readonly to?: string }
  /** Whether another page can be read. */
  next?: boolean
}>()
const WAITING_ROWS = 6
const emit = defineEmits<{ retry: []; act: []; more: [] }>()
</script>

<template>
  <main class="page">
    <div class="page-head">
      <h1>{{ name }}</h1>
      <slot name="head" />
    </div>
    <slot name="filters" />
    <EmptyState v-if="problem" :words="problem" action="Try again" @act="emit('retry')" />
    <div v-else-if="loading" role="status" class="space-y-4 py-6">
      <span class="sr-only">Opening</span>
      <USkeleton v-for="row in WAITING_ROWS" :key="row" class="h-6" />
    </div>
    <EmptyState
      v-else-if="empty?.action"
      :words="empty.words"
      :action="empty.action"
      :to="empty.to"
      @act="emit('act')"
    />
    <p v-else-if="empty" class="soft py-6">{{ empty.words }}</p>
    <slot v-else />
    <UButton v-if="next" class="mt-4" label="More" @click="emit('more')" />
    <slot name="after" />
  </main>
</template>
