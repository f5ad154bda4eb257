<script setup lang="ts" generic="K extends Kind">
import type { Kind, KindUnits } from '#core/quantity/parseQuantity'
import type { Entered } from '#core/quantity/entered'

/** A figure of a form, bound by its path to the document and to what the core says of it. */
const props = defineProps<{
  path: string
  label: string
  kind: K
  entered: Entered<KindUnits[K]>
  units?: readonly KindUnits[K][]
  hint?: string
}>()
const { set, problemAt, locked } = useForm()
const kindOf = computed(() => problemAt(props.path)?.kind)
const wrong = computed(() => (kindOf.value === 'wrong' ? problemAt(props.path)?.message : undefined))
</script>

<template>
  <QuantityField
    :path="path"
    :label="label"
    :kind="kind"
    :entered="entered"
    :units="units"
    :hint="hint"
    :locked="locked"
    :problem="wrong"
    :missing="kindOf === 'missing'"
    @change="set(path, $event)"
  />
</template>
