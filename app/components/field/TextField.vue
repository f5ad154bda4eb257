<script setup lang="ts">
/** Words under their label: of the form at their path, unless they are handed in. */
defineOptions({ inheritAttrs: false })
const { whole, inner } = useFieldAttrs()
const props = defineProps<{
  label: string
  text?: string
  path?: string
  placeholder?: string
  problem?: string
  hint?: string
  locked?: boolean
  bare?: boolean
  maxlength?: number
}>()
const emit = defineEmits<{ change: [text: string] }>()
const { value, locked, change } = useBound(
  () => ({ path: props.path, locked: props.locked, own: props.text }),
  () => '',
  (text) => emit('change', text),
)
</script>

<template>
  <LabelledField :label="label" :problem="problem" :hint="hint" :bare="bare" v-bind="whole">
    <UInput
      :model-value="value"
      :data-path="path"
      :placeholder="placeholder"
      :disabled="locked"
      :maxlength="maxlength ?? 200"
      autocomplete="off"
      class="w-full"
      v-bind="inner"
      @update:model-value="change"
    />
  </LabelledField>
</template>
