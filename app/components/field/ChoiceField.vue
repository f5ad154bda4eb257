<script setup lang="ts" generic="V extends string | number">
import type { Choice } from '~/composables/form/useChoices'

/** A choice among a few words: the form's at its path, unless it is handed in. */
defineOptions({ inheritAttrs: false })
const { whole, inner } = useFieldAttrs()
const props = defineProps<{
  label: string
  value?: V
  choices: readonly Choice<V>[]
  path?: string
  locked?: boolean
  bare?: boolean
  hint?: string
}>()
const emit = defineEmits<{ change: [value: V] }>()
const bound = useBound<V>(
  () => ({ path: props.path, locked: props.locked, own: props.value }),
  () => '' as V,
  (value) => emit('change', value),
)
const { items, chosen, take } = useChoices<V>(
  () => props.choices,
  () => bound.value.value,
  bound.change,
)
</script>

<template>
  <LabelledField :label="label" :bare="bare" :hint="hint" v-bind="whole">
    <USelect
      :model-value="chosen"
      :items="items"
      :data-path="path"
      :disabled="bound.locked.value"
      class="w-full"
      v-bind="inner"
      @update:model-value="take"
    />
  </LabelledField>
</template>
