<script setup lang="ts">
/** A label above its field, and below it what is wrong or what helps. */
defineProps<{ label: string; problem?: string; hint?: string; bare?: boolean }>()
</script>

<template>
  <UFormField
    :label="label"
    :error="problem"
    :help="hint"
    :ui="bare ? { labelWrapper: 'sr-only' } : undefined"
    class="min-w-0"
  >
    <slot />
    <template v-if="problem" #error="{ error }"
      ><span role="alert">{{ error }}</span></template
    >
  </UFormField>
</template>
