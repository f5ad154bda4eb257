<script setup lang="ts" generic="K extends Kind">
import { parseQuantity, type Kind, type KindUnits } from '#core/quantity/parseQuantity'
import type { Entered } from '#core/quantity/entered'
import { unitText } from '#core/quantity/systems'

/**
 * One figure and its unit: takes what people type (34'6", 3 L, 1 1/2 pt), keeps it to the letter, says at the
 * field what is wrong.
 */
const props = defineProps<{
  path: string
  label: string
  kind: K
  entered: Entered<KindUnits[K]>
  units?: readonly KindUnits[K][]
  problem?: string
  missing?: boolean
  locked?: boolean
  hint?: string
}>()
const emit = defineEmits<{ change: [entered: Entered<KindUnits[K]>] }>()

const focused = ref(false)
const shownProblem = computed(() => (focused.value ? undefined : props.problem))
const choices = computed(() => {
  const listed = props.units ?? []
  return listed.includes(props.entered.unit) ? listed : [props.entered.unit, ...listed]
})

const unitItems = computed(() =>
  choices.value.map((unit) => ({ label: unitText(unit), value: String(unit) })),
)
/** Figure and unit are never cut off: the field asks for the room that both need. */
const room = computed(() => `${Math.max(9, unitText(props.entered.unit).length * 0.5 + 8)}em`)
const type = (text: string) => emit('change', { text, unit: props.entered.unit })

/** "3 L" in a gallon field becomes 3 in a litre field; feet and inches stay as typed. */
function settle() {
  focused.value = false
  const match = /^\s*([\d.,/½¼¾⅓⅔⅛⅜⅝⅞ ]*[\d.½¼¾⅓⅔⅛⅜⅝⅞])\s*[^\d\s.,/½¼¾⅓⅔⅛⅜⅝⅞]/.exec(props.entered.text)
  const read = parseQuantity(props.entered.text, props.kind, props.entered.unit)
  if (match?.[1] === undefined || !read.ok) return
  const alone = parseQuantity(match[1], props.kind, read.value.unit)
  if (alone.ok && alone.value.value === read.value.value)
    emit('change', { text: match[1].trim(), unit: read.value.unit })
}
</script>

<template>
  <LabelledField :label="label" :problem="shownProblem" :hint="hint" :style="{ minWidth: room }">
    <UFieldGroup class="w-full">
      <UInput
        :model-value="entered.text"
        :data-path="path"
        :data-kind="kind"
        :data-missing="missing ? '' : undefined"
        :disabled="locked"
        inputmode="text"
        autocomplete="off"
        spellcheck="false"
        class="min-w-0 flex-1"
        @update:model-value="type"
        @focus="focused = true"
        @blur="settle"
      />
      <USelect
        v-if="choices.length > 1 && !locked"
        :model-value="String(entered.unit)"
        :items="unitItems"
        :aria-label="`Unit of ${label}`"
        tabindex="-1"
        class="unit-box"
        @update:model-value="emit('change', { text: entered.text, unit: $event as KindUnits[K] })"
      />
      <span v-else class="unit-box fixed-unit" aria-hidden="true">{{ unitText(entered.unit) }}</span>
    </UFieldGroup>
  </LabelledField>
</template>

<style scoped>
.unit-box {
  flex: none;
  font-size: 13px;
  color: var(--soft);
}
.fixed-unit {
  display: flex;
  align-items: center;
  padding: 0 9px;
  border: var(--rule-width) solid var(--field-rule);
  border-left: 0;
  border-radius: 0 3px 3px 0;
  white-space: nowrap;
}
</style>
