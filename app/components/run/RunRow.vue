<script setup lang="ts">
import type { Shown } from '#core/quantity/systems'

/** A word and its figure on one line, as large as the rest of the step. */
defineProps<{ word: string; shown?: Shown; text?: string }>()
</script>

<template>
  <p class="row">
    <span>{{ word }}</span>
    <strong
      ><FigureText v-if="shown" :shown="shown" /><template v-else>{{ text }}</template
      ><slot
    /></strong>
  </p>
</template>

<style scoped>
.row {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  align-items: baseline;
  padding: 11px 0;
  border-top: var(--rule-width) solid var(--rule-strong);
  font-size: 18px;
}
.row strong {
  text-align: right;
}
</style>
