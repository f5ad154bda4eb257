<script setup lang="ts">
export interface KnownName {
  readonly name: string
  readonly about?: string
}

/** A name that may be one of those known, offered while it is typed; any other is taken as it stands. */
defineOptions({ inheritAttrs: false })
const { whole, inner } = useFieldAttrs()
const props = defineProps<{
  label: string
  text: string
  names: readonly KnownName[]
  path?: string
  placeholder?: string
  problem?: string
  locked?: boolean
  bare?: boolean
}>()
const emit = defineEmits<{ change: [text: string] }>()
const items = computed(() => props.names.map(({ name, about }) => ({ label: name, description: about })))
</script>

<template>
  <LabelledField :label="label" :problem="problem" :bare="bare" v-bind="whole">
    <UInputMenu
      mode="autocomplete"
      value-key="label"
      :model-value="text"
      :items="items"
      :data-path="path"
      :placeholder="placeholder"
      :disabled="locked"
      :trailing-icon="names.length > 0 ? undefined : ''"
      open-on-click
      maxlength="200"
      autocomplete="off"
      class="w-full"
      v-bind="inner"
      @update:model-value="emit('change', String($event ?? ''))"
    />
  </LabelledField>
</template>
