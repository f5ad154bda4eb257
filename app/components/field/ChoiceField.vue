<script setup lang="ts" generic="V extends string | number">
import type { Choice } from '~/composables/form/useChoices'

/** A choice among a few words. */
defineOptions({ inheritAttrs: false })
const { whole, inner } = useFieldAttrs()
const props = defineProps<{
  label: string
  value: V
  choices: readonly Choice<V>[]
  path?: string
  locked?: boolean
  bare?: boolean
  hint?: string
}>()
const emit = defineEmits<{ change: [value: V] }>()
const { items, chosen, take } = useChoices<V>(
  () => props.choices,
  () => props.value,
  (value) => emit('change', value),
)
</script>

<template>
  <LabelledField :label="label" :bare="bare" :hint="hint" v-bind="whole">
    <USelect
      :model-value="chosen"
      :items="items"
      :data-path="path"
      :disabled="locked"
      class="w-full"
      v-bind="inner"
      @update:model-value="take"
    />
  </LabelledField>
</template>
