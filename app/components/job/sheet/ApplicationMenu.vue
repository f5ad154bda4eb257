<script setup lang="ts">
import type { DropdownMenuItem } from '@nuxt/ui'

/** Adds an application to the visit, orders them, takes one off. */
const props = defineProps<{ count: number; index: number }>()
const emit = defineEmits<{ add: []; move: [from: number, to: number]; drop: [] }>()
const actions = computed<DropdownMenuItem[]>(() => [
  { label: 'Add an application', icon: 'i-lucide-plus', onSelect: () => emit('add') },
  ...(props.count > 1
    ? [
        {
          label: 'Put it earlier',
          icon: 'i-lucide-arrow-up',
          disabled: props.index === 0,
          onSelect: () => emit('move', props.index, props.index - 1),
        },
        {
          label: 'Put it later',
          icon: 'i-lucide-arrow-down',
          disabled: props.index === props.count - 1,
          onSelect: () => emit('move', props.index, props.index + 1),
        },
        { label: 'Remove it', icon: 'i-lucide-trash-2', onSelect: () => emit('drop') },
      ]
    : []),
])
</script>

<template>
  <UDropdownMenu :items="actions">
    <UButton variant="ghost" icon="i-lucide-plus" aria-label="Applications: add, order, remove" />
  </UDropdownMenu>
</template>
