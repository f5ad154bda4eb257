<script setup lang="ts">
/** Yes or no, beside its words. */
defineProps<{ label: string; ticked: boolean; path?: string; locked?: boolean }>()
const emit = defineEmits<{ change: [ticked: boolean] }>()
</script>

<template>
  <UCheckbox
    :model-value="ticked"
    :label="label"
    :data-path="path"
    :disabled="locked"
    @update:model-value="emit('change', $event === true)"
  >
    <template v-if="$slots.default" #label><slot /></template>
  </UCheckbox>
</template>
