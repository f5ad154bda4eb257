<script setup lang="ts">
import { GRASS_NAMES, type GrassName } from '#core/ground/grasses'

/** A few grasses out of the table, ticked. */
const props = defineProps<{ path: string; label: string; chosen: readonly GrassName[] }>()
const { set, locked } = useForm()
const turn = (grass: GrassName) =>
  set(
    props.path,
    props.chosen.includes(grass)
      ? props.chosen.filter((one) => one !== grass)
      : GRASS_NAMES.filter((one) => one === grass || props.chosen.includes(one)),
  )
</script>

<template>
  <fieldset class="grasses">
    <legend class="soft small">{{ label }}</legend>
    <label v-for="grass in GRASS_NAMES" :key="grass" class="small"
      ><input type="checkbox" :checked="chosen.includes(grass)" :disabled="locked" @change="turn(grass)" />
      {{ grass }}</label
    >
  </fieldset>
</template>

<style scoped>
.grasses {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}
.grasses label {
  min-height: 24px;
  display: inline-flex;
  align-items: center;
  gap: 5px;
}
.grasses legend {
  width: 100%;
  float: left;
}
</style>
