<script setup lang="ts" generic="K extends Kind">
import type { Kind, KindUnits } from '#core/quantity/parseQuantity'
import type { Entered } from '#core/quantity/entered'

/** The one number of a step: a field one can read and hit at arm's length. */
defineProps<{
  path: string
  label: string
  kind: K
  entered: Entered<KindUnits[K]>
  units?: readonly KindUnits[K][]
  problem?: string
  hint?: string
}>()
const emit = defineEmits<{ change: [entered: Entered<KindUnits[K]>] }>()
</script>

<template>
  <QuantityField
    class="large"
    :path="path"
    :label="label"
    :kind="kind"
    :entered="entered"
    :units="units"
    :problem="problem"
    :hint="hint"
    @change="emit('change', $event)"
  />
</template>

<style scoped>
.large :deep(input) {
  min-height: 68px;
  font-size: 34px;
  font-weight: 700;
}
.large :deep(button),
.large :deep(.fixed-unit) {
  min-width: 76px;
  font-size: 18px;
}
</style>
