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

const id = useId()
const focused = ref(false)
const shownProblem = computed(() => (focused.value ? undefined : props.problem))
const choices = computed(() => {
  const listed = props.units ?? []
  return listed.includes(props.entered.unit) ? listed : [props.entered.unit, ...listed]
})

const type = (event: Event) =>
  emit('change', { text: (event.target as HTMLInputElement).value, unit: props.entered.unit })

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
  <div class="min-w-0">
    <label :for="id" class="soft small block truncate">{{ label }}</label>
    <div class="relative flex items-stretch">
      <input
        :id="id"
        class="field"
        :class="{ missing }"
        :value="entered.text"
        :data-path="path"
        :data-kind="kind"
        :disabled="locked"
        inputmode="text"
        autocomplete="off"
        spellcheck="false"
        :style="{
          paddingRight: `${unitText(entered.unit).length * 0.4 + (choices.length > 1 ? 1.9 : 0.9)}em`,
        }"
        :aria-invalid="shownProblem ? 'true' : undefined"
        :aria-describedby="shownProblem || hint ? `${id}-note` : undefined"
        @input="type"
        @focus="focused = true"
        @blur="settle"
      />
      <select
        v-if="choices.length > 1 && !locked"
        class="unit-pick"
        tabindex="-1"
        :aria-label="`Unit of ${label}`"
        :value="entered.unit"
        @change="
          emit('change', {
            text: entered.text,
            unit: ($event.target as HTMLSelectElement).value as KindUnits[K],
          })
        "
      >
        <option v-for="unit in choices" :key="unit" :value="unit">{{ unitText(unit) }}</option>
      </select>
      <span v-else class="unit-fixed" aria-hidden="true">{{ unitText(entered.unit) }}</span>
    </div>
    <p v-if="shownProblem" :id="`${id}-note`" class="problem small" role="alert">{{ shownProblem }}</p>
    <p v-else-if="hint" :id="`${id}-note`" class="soft small">{{ hint }}</p>
  </div>
</template>

<style scoped>
.unit-fixed,
.unit-pick {
  position: absolute;
  right: 1px;
  top: 1px;
  bottom: 1px;
  font-size: 12.5px;
  color: var(--soft);
  display: flex;
  align-items: center;
  padding: 0 7px;
  pointer-events: none;
}
.unit-pick {
  pointer-events: auto;
  background: transparent;
  border: 0;
  text-align: right;
  cursor: pointer;
  padding: 0 2px;
  max-width: 70%;
}
.unit-pick option {
  background: var(--sheet);
  color: var(--ink);
}
.field.missing:not(:focus) {
  border-color: var(--action);
  border-style: dashed;
}
.problem {
  color: var(--stop);
  font-weight: 600;
  margin-top: 2px;
}
</style>
