<script setup lang="ts">
import type { Shown } from '#core/quantity/systems'

/** A figure with its unit small beside it; with `page`, it opens its working. */
const props = defineProps<{ shown: Shown, page?: string, label?: string }>()
const working = useWorkingStore()
const spoken = computed(() => `${props.label ?? ''} ${props.shown.figure} ${props.shown.unit}, show working`.trim())
</script>

<template>
  <button v-if="page" type="button" class="plain-button working" :aria-label="spoken" @click="working.show(page)">
    {{ shown.figure }}<span class="unit">{{ shown.unit }}</span>
  </button>
  <span v-else>{{ shown.figure }}<span class="unit">{{ shown.unit }}</span></span>
</template>
