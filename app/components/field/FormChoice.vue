<script setup lang="ts" generic="V extends string | number">
/** A choice among a few words, bound by its path; a native select, so that it works by key, by voice and with gloves. */
defineProps<{ path: string, label: string, value: V, choices: readonly { readonly value: V, readonly text: string }[] }>()
const { set, locked } = useForm()
</script>

<template>
  <LabelledField v-slot="{ id }" :label="label">
    <select :id="id" class="field" :value="value" :data-path="path" :disabled="locked" @change="set(path, choices[($event.target as HTMLSelectElement).selectedIndex]?.value)">
      <option v-for="choice in choices" :key="choice.value" :value="choice.value">{{ choice.text }}</option>
    </select>
  </LabelledField>
</template>
