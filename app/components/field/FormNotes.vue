<script setup lang="ts">
/** Some lines of text of a form, bound by their path. */
defineProps<{ path: string; label: string; text: string }>()
const { set, locked } = useForm()
</script>

<template>
  <LabelledField v-slot="{ id }" :label="label">
    <textarea
      :id="id"
      class="field"
      rows="2"
      :value="text"
      :data-path="path"
      :disabled="locked"
      maxlength="4000"
      @input="set(path, ($event.target as HTMLTextAreaElement).value)"
    />
  </LabelledField>
</template>
