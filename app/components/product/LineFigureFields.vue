<script setup lang="ts">
import type { LineFigure } from '#core/label/productFields'

/** Figures of a label's line beside its rate, each in its own unit. */
defineProps<{ path: string; names: readonly LineFigure[] }>()
</script>

<template>
  <QuantityField v-for="name in names" :key="name" :path="`${path}.figures.${name}`" />
</template>
