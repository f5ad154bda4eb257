<script setup lang="ts">
import type { EntryInHand } from '~/composables/form/useEntry'

/** One row of a kind as a page: its head, what is filled in below, or why it can't be shown. */
defineProps<{
  entry: EntryInHand
  what: string
  /** What a row is called that has no name of its own. */
  title?: string
  placeholder?: string
  back: string
  backTo: string
  /** Words of the way out where it can't be shown. */
  away: string
}>()
</script>

<template>
  <main v-if="entry.draft.value">
    <EntryHead
      :entry="entry"
      :what="what"
      :title="title"
      :placeholder="placeholder"
      :back="back"
      :back-to="backTo"
    >
      <template #about><slot name="about" /></template>
      <slot name="actions" />
    </EntryHead>
    <slot />
  </main>
  <EmptyState v-else :words="entry.loadProblem.value ?? 'Opening …'" :action="away" :to="backTo" />
</template>
