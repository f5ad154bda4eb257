<script setup lang="ts">
import { GRASS_NAMES, type GrassName } from '#core/ground/grasses'

/** A few grasses out of the table, ticked. */
const props = defineProps<{ path: string; label: string; chosen: readonly GrassName[] }>()
const { set, locked } = useForm()
const choose = (ticked: readonly string[]) =>
  set(
    props.path,
    GRASS_NAMES.filter((one) => ticked.includes(one)),
  )
</script>

<template>
  <UCheckboxGroup
    orientation="horizontal"
    :legend="label"
    :model-value="[...chosen]"
    :items="[...GRASS_NAMES]"
    :disabled="locked"
    @update:model-value="choose"
  />
</template>
