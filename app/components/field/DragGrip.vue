<script setup lang="ts">
/** Where a row is taken hold of; the keys go by the words beside it. */
</script>

<template>
  <span class="grip no-print" aria-hidden="true"><UIcon name="i-lucide-grip-vertical" class="size-4" /></span>
</template>

<style scoped>
.grip {
  display: inline-grid;
  place-items: center;
  min-width: 24px;
  min-height: 24px;
  color: var(--soft);
  cursor: grab;
  touch-action: none;
}
.grip:active {
  cursor: grabbing;
}
@media (pointer: coarse) {
  .grip {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>
