<script setup lang="ts">
/** Words under their label. */
defineOptions({ inheritAttrs: false })
const { whole, inner } = useFieldAttrs()
defineProps<{
  label: string
  text: string
  path?: string
  placeholder?: string
  problem?: string
  hint?: string
  locked?: boolean
  bare?: boolean
  maxlength?: number
}>()
const emit = defineEmits<{ change: [text: string] }>()
</script>

<template>
  <LabelledField :label="label" :problem="problem" :hint="hint" :bare="bare" v-bind="whole">
    <UInput
      :model-value="text"
      :data-path="path"
      :placeholder="placeholder"
      :disabled="locked"
      :maxlength="maxlength ?? 200"
      autocomplete="off"
      class="w-full"
      v-bind="inner"
      @update:model-value="emit('change', $event)"
    />
  </LabelledField>
</template>
