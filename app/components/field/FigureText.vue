<script setup lang="ts">
import type { Figure } from '#core/working/figures'
import type { Shown } from '#core/quantity/systems'

/** A figure with its unit small beside it; with `page`, it opens its working. */
defineProps<{ shown: Shown; page?: Figure; label?: string }>()
const working = useWorkingStore()
</script>

<template>
  <ULink raw v-if="page" class="working" @click="working.show(page)">
    <span v-if="label" class="sr-only">{{ label }} </span>{{ shown.figure
    }}<span class="unit">{{ shown.unit }}</span
    ><span class="sr-only">, show working</span>
  </ULink>
  <span v-else
    >{{ shown.figure }}<span class="unit">{{ shown.unit }}</span></span
  >
</template>
