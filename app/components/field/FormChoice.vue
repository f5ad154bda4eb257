<script setup lang="ts" generic="V extends string | number">
/** A choice among a few words, bound by its path. */
defineProps<{
  path: string
  label: string
  value: V
  choices: readonly { readonly value: V; readonly text: string }[]
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
