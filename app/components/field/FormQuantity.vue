<script setup lang="ts" generic="K extends Kind">
import type { Kind, KindUnits } from '#core/quantity/parseQuantity'
import type { Entered } from '#core/quantity/entered'

/** A figure of a form, bound by its path to the document and to what the core says of it. */
defineProps<{
  path: string
  label: string
  kind: K
  entered: Entered<KindUnits[K]>
  units?: readonly KindUnits[K][]
  hint?: string
}>()
const { set, problemAt, locked } = useForm()
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
    :problem="problemAt(path)?.kind === 'wrong' ? problemAt(path)?.message : undefined"
    :missing="problemAt(path)?.kind === 'missing'"
    @change="set(path, $event)"
  />
</template>
