<script setup lang="ts" generic="V extends string | number">
/** A choice among a few words; a native select, so that it works by key, by voice and with gloves. */
const props = defineProps<{
  label: string
  value: V
  choices: readonly { readonly value: V; readonly text: string }[]
  path?: string
  locked?: boolean
}>()
const emit = defineEmits<{ change: [value: V] }>()
function choose(index: number) {
  const choice = props.choices[index]
  if (choice) emit('change', choice.value)
}
</script>

<template>
  <LabelledField v-slot="{ id }" :label="label">
    <select
      :id="id"
      class="field"
      :value="value"
      :data-path="path"
      :disabled="locked"
      @change="choose(($event.target as HTMLSelectElement).selectedIndex)"
    >
      <option v-for="choice in choices" :key="choice.value" :value="choice.value">{{ choice.text }}</option>
    </select>
  </LabelledField>
</template>
