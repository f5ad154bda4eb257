<script setup lang="ts">
/** A file of this device, chosen with mouse or key. */
defineProps<{ label: string; accept: string }>()
const emit = defineEmits<{ file: [file: File] }>()
const inputId = useId()
function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  if (file) emit('file', file)
  // The same file may be chosen again once it was mended.
  input.value = ''
}
</script>

<template>
  <label :for="inputId" class="way-out pick"
    >{{ label }}<input :id="inputId" type="file" :accept="accept" class="sr-only" @change="choose"
  /></label>
</template>

<style scoped>
.pick {
  cursor: pointer;
}
.pick:focus-within {
  outline: 2px solid var(--action);
  outline-offset: 2px;
}
</style>
