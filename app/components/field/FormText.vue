<script setup lang="ts">
/** A line of text of a form, bound by its path. */
defineProps<{ path: string; label: string; text: string; placeholder?: string; list?: string }>()
const { set, locked } = useForm()
</script>

<template>
  <LabelledField v-slot="{ id }" :label="label">
    <input
      :id="id"
      class="field"
      :value="text"
      :data-path="path"
      :placeholder="placeholder"
      :list="list"
      :disabled="locked"
      maxlength="200"
      autocomplete="off"
      @input="set(path, ($event.target as HTMLInputElement).value)"
    />
  </LabelledField>
</template>
