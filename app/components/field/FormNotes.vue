<script setup lang="ts">
/** Some lines of text of a form, bound by their path. */
defineProps<{ path: string; label: string; text: string }>()
const { set, locked } = useForm()
</script>

<template>
  <LabelledField :label="label">
    <UTextarea
      :model-value="text"
      :data-path="path"
      :disabled="locked"
      :rows="2"
      autoresize
      maxlength="4000"
      class="w-full"
      @update:model-value="set(path, $event)"
    />
  </LabelledField>
</template>
