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
  <input
    class="field search"
    type="search"
    :aria-label="label"
    :placeholder="label"
    :value="words"
    autocomplete="off"
    @input="take(($event.target as HTMLInputElement).value)"
  />
</template>

<style scoped>
.search {
  max-width: 280px;
}
</style>
