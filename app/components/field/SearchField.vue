<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'

/** Words to look for; asked a moment after the last key. */
defineProps<{ label: string }>()
const words = defineModel<string>({ required: true })
const WAIT_MS = 180
const take = useDebounceFn((text: string) => {
  words.value = text
}, WAIT_MS)
</script>

<template>
  <UInput
    type="search"
    icon="i-lucide-search"
    :aria-label="label"
    :placeholder="label"
    :model-value="words"
    autocomplete="off"
    class="w-full max-w-72"
    @update:model-value="take"
  />
</template>
