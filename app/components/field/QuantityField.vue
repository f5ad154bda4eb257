<script setup lang="ts" generic="U extends string = string">
import { parseQuantity, type Kind, type KindUnits } from '#core/quantity/parseQuantity'
import type { Entered } from '#core/quantity/entered'
import type { FigureField } from '#core/quantity/figureField'
import { unitText } from '#core/quantity/systems'

/**
 * One figure and its unit: takes what people type (34'6", 3 L, 1 1/2 pt), keeps it to the letter, says at the
 * field what is wrong. In a form its path alone says what it is; by itself it is told.
 */
const props = defineProps<{
  path: string
  /** What is told of it, where no form around it knows its path. */
  field?: FigureField
  label?: string
  kind?: Kind
  entered?: Entered<U>
  units?: readonly U[]
  /** The unit of one that was never filled in. */
  unit?: U
  problem?: string
  missing?: boolean
  locked?: boolean
  hint?: string
}>()
const emit = defineEmits<{ change: [entered: Entered<U>] }>()
const form = useFormIfAny()
const row = computed(() => props.field ?? form?.fieldAt(props.path))
const { value, locked, change } = useBound<Entered<U>>(
  () => ({ path: props.path, locked: props.locked, own: props.entered }),
  () => ({ text: '', unit: props.unit ?? ((row.value?.unit ?? '') as U) }),
  (entered) => emit('change', entered),
)
const kind = computed(() => props.kind ?? row.value?.kind ?? 'length')
const label = computed(() => props.label ?? row.value?.label ?? '')
const told = computed(() => form?.problemAt(props.path))
const problem = computed(
  () => props.problem ?? (told.value?.kind === 'wrong' ? told.value.message : undefined),
)

const focused = ref(false)
const shownProblem = computed(() => (focused.value ? undefined : problem.value))
const choices = computed(() => {
  const listed = (props.units ?? row.value?.units ?? []) as readonly U[]
  return listed.includes(value.value.unit) ? listed : [value.value.unit, ...listed]
})

const unitItems = computed(() =>
  choices.value.map((unit) => ({ label: unitText(unit), value: String(unit) })),
)
/** Figure and unit are never cut off: the field asks for the room that both need. */
const room = computed(() => `${Math.max(9, unitText(value.value.unit).length * 0.5 + 8)}em`)
const type = (text: string) => change({ text, unit: value.value.unit })

/** "3 L" in a gallon field becomes 3 in a litre field; feet and inches stay as typed. */
function settle() {
  focused.value = false
  const match = /^\s*([\d.,/½¼¾⅓⅔⅛⅜⅝⅞ ]*[\d.½¼¾⅓⅔⅛⅜⅝⅞])\s*[^\d\s.,/½¼¾⅓⅔⅛⅜⅝⅞]/.exec(value.value.text)
  const read = parseQuantity(value.value.text, kind.value, value.value.unit as KindUnits[Kind])
  if (match?.[1] === undefined || !read.ok) return
  const alone = parseQuantity(match[1], kind.value, read.value.unit)
  if (alone.ok && alone.value.value === read.value.value)
    change({ text: match[1].trim(), unit: read.value.unit as U })
}
</script>

<template>
  <LabelledField :label="label" :problem="shownProblem" :hint="hint ?? row?.hint" :style="{ minWidth: room }">
    <UFieldGroup class="w-full">
      <UInput
        :model-value="value.text"
        :data-path="path"
        :data-kind="kind"
        :data-missing="missing || told?.kind === 'missing' ? '' : undefined"
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
        :model-value="String(value.unit)"
        :items="unitItems"
        :aria-label="`Unit of ${label}`"
        tabindex="-1"
        class="unit-box"
        @update:model-value="change({ text: value.text, unit: $event as U })"
      />
      <span v-else class="unit-box fixed-unit" aria-hidden="true">{{ unitText(value.unit) }}</span>
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
