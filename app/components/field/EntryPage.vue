<script setup lang="ts">
import type { EntryInHand, EntryWords } from '~/composables/form/useEntry'

/** One row of a kind as a page: its head, what is filled in below, or why it can't be shown. */
const { entry, away, ...words } = defineProps<
  EntryWords & {
    entry: EntryInHand
    /** Words of the way out where it can't be shown. */
    away: string
  }
>()
</script>

<template>
  <main v-if="entry.draft.value">
    <EntryHead v-bind="words" :entry="entry">
      <template #about><slot name="about" /></template>
      <slot name="actions" />
    </EntryHead>
    <slot />
  </main>
  <EmptyState v-else :words="entry.loadProblem.value ?? 'Opening …'" :action="away" :to="words.backTo" />
</template>
