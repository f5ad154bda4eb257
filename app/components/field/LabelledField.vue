<script setup lang="ts">
/** A label above its field; the field takes the id it is given. */
defineProps<{ label: string }>()
const id = useId()
</script>

<template>
  <div class="min-w-0">
    <label :for="id" class="soft small block truncate">{{ label }}</label>
    <slot :id="id" />
  </div>
</template>
