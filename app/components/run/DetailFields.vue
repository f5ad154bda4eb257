<script setup lang="ts">
import type { RunDetails } from '#core/run/runEvent'

/** Who did it, for what and in what weather, as it goes on record. */
const { details } = defineProps<{ details: RunDetails }>()
const emit = defineEmits<{ change: [details: RunDetails] }>()
const FIELDS = [
  ['by', 'Done by'],
  ['licence', 'Licence'],
  ['target', 'Target'],
  ['weather', 'Weather: wind, temperature, leaf'],
  ['remarks', 'Remarks'],
] as const
</script>

<template>
  <div class="fields items-end">
    <TextField
      v-for="[name, label] in FIELDS"
      :key="name"
      class="wide"
      :label="label"
      :text="details[name]"
      :maxlength="2000"
      @change="emit('change', { ...details, [name]: $event })"
    />
  </div>
</template>
