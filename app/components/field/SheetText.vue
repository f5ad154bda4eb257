<script setup lang="ts">
/** A line of text of the job sheet, bound by its path. */
defineProps<{ path: string, label: string, text: string, placeholder?: string }>()
const { set, locked } = useSheet()
const id = useId()
</script>

<template>
  <div class="min-w-0">
    <label :for="id" class="soft small block truncate">{{ label }}</label>
    <input
      :id="id" class="field" :value="text" :data-path="path" :placeholder="placeholder" :disabled="locked" maxlength="200" autocomplete="off"
      @input="set(path, ($event.target as HTMLInputElement).value)"
    >
  </div>
</template>
