<script setup lang="ts">
/** A line of text of a form, bound by its path. */
defineProps<{ path: string; label: string; text: string; placeholder?: string }>()
const { set, locked } = useForm()
</script>

<template>
  <TextField
    :label="label"
    :text="text"
    :path="path"
    :placeholder="placeholder"
    :locked="locked"
    @change="set(path, $event)"
  />
</template>
