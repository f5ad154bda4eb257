<script setup lang="ts" generic="V extends string | number">
import type { Choice } from '~/composables/form/useChoices'

/** A choice among a few words, bound by its path. */
defineProps<{
  path: string
  label: string
  value: V
  choices: readonly Choice<V>[]
}>()
const { set, locked } = useForm()
</script>

<template>
  <ChoiceField
    :label="label"
    :value="value"
    :choices="choices"
    :path="path"
    :locked="locked"
    @change="set(path, $event)"
  />
</template>
