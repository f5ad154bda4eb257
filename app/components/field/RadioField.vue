<script setup lang="ts" generic="V extends string | number">
import type { Choice } from '~/composables/form/useChoices'

/** One of a few words, all of them in view. */
const props = defineProps<{
  label: string
  value: V
  choices: readonly Choice<V>[]
  path?: string
  locked?: boolean
  bare?: boolean
}>()
const emit = defineEmits<{ change: [value: V] }>()
const { items, chosen, take } = useChoices<V>(
  () => props.choices,
  () => props.value,
  (value) => emit('change', value),
)
</script>

<template>
  <URadioGroup
    orientation="horizontal"
    :legend="label"
    :model-value="chosen"
    :items="items"
    :data-path="path"
    :disabled="locked"
    :ui="bare ? { legend: 'sr-only' } : undefined"
    @update:model-value="take"
  />
</template>
