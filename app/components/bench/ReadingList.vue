<script setup lang="ts">
import type { Entered } from '#core/quantity/entered'
import type { Kind } from '#core/quantity/parseQuantity'
import { SYSTEM_UNITS, unitText } from '#core/quantity/systems'
import { SPAN_UNITS } from '#core/quantity/units'

/**
 * Readings taken one after the other, lengths unless other units are given: Enter goes on to the next and
 * makes it; a row of figures can be pasted. One unit for all that carry none of their own.
 */
const props = withDefaults(
  defineProps<{
    list: readonly Entered[]
    path: string
    one: string
    /** Fields that belong together, such as three sides. */
    group?: number
    units?: readonly string[]
    /** What an instrument must measure to fill one. */
    kind?: Kind
    /** What each comes to, in a word, where one is off. */
    off?: readonly (string | undefined)[]
  }>(),
  { group: undefined, kind: 'span', units: () => SPAN_UNITS, off: () => [] },
)
const { set, locked, problemAt } = useForm()
const crew = useCrewStore()
const box = useTemplateRef('box')
const unit = computed(() => props.list[0]?.unit ?? SYSTEM_UNITS[crew.units].length)
const place = (i: number) => `${props.path}.${i}`
const nameOf = (i: number) =>
  props.group ? `${Math.floor(i / props.group) + 1}${'abc'[i % props.group]}` : String(i + 1)
const problems = computed(() => props.list.map((_, i) => problemAt(place(i))))
const wrong = computed(() => problems.value.find((problem) => problem?.kind === 'wrong'))

const put = (i: number, text: string) =>
  set(
    props.path,
    props.list.map((entered, j) => (i === j ? { ...entered, text } : entered)),
  )
const setUnit = (next: string) =>
  set(
    props.path,
    props.list.map((entered) => ({ ...entered, unit: next })),
  )
async function add(count = props.group ?? 1) {
  set(props.path, [...props.list, ...Array.from({ length: count }, () => ({ text: '', unit: unit.value }))])
  await nextTick()
}
const dropLast = () => set(props.path, props.list.slice(0, -(props.group ?? 1)))
async function next(i: number) {
  if (i === props.list.length - 1) await add()
  box.value?.querySelectorAll('input')[i + 1]?.focus()
}
function paste(event: ClipboardEvent, i: number) {
  const figures = (event.clipboardData?.getData('text') ?? '').split(/[\s;]+/).filter(Boolean)
  if (figures.length < 2) return
  event.preventDefault()
  set(props.path, [...props.list.slice(0, i), ...figures.map((text) => ({ text, unit: unit.value }))])
}
</script>

<template>
  <fieldset class="list">
    <legend class="soft small">
      {{ one === 'Radius' ? 'Radii' : `${one}s` }}, in order; Enter for the next
    </legend>
    <div ref="box" class="cells">
      <label v-for="(entered, i) in list" :key="i" class="cell">
        <span class="soft small" aria-hidden="true">{{ nameOf(i) }}</span>
        <UInput
          :model-value="entered.text"
          :data-path="place(i)"
          :data-kind="kind"
          :data-missing="problems[i]?.kind === 'missing' ? '' : undefined"
          :aria-label="`${one} ${nameOf(i)}, ${unitText(entered.unit)}`"
          :aria-invalid="problems[i]?.kind === 'wrong' ? 'true' : undefined"
          :color="problems[i]?.kind === 'wrong' ? 'error' : undefined"
          :highlight="problems[i]?.kind === 'wrong'"
          :disabled="locked"
          inputmode="text"
          autocomplete="off"
          enterkeyhint="next"
          @update:model-value="put(i, $event)"
          @keydown.enter.prevent="next(i)"
          @paste="paste($event, i)"
        />
        <span v-if="off[i]" class="small off">{{ off[i] }}</span>
      </label>
    </div>
    <p v-if="wrong" class="problem small" role="alert">{{ wrong.message }}</p>
    <p class="row small">
      <USelect
        :model-value="unit"
        :items="units.map((value) => ({ label: unitText(value), value }))"
        :aria-label="`Unit of the ${one.toLowerCase()}s`"
        :disabled="locked"
        @update:model-value="setUnit"
      />
      <template v-if="!locked">
        <UButton variant="link" size="sm" @click="next(list.length - 1)">
          {{ group ? 'Another triangle' : 'Another' }}
        </UButton>
        <UButton v-if="list.length > (group ?? 1)" variant="link" size="sm" @click="dropLast">
          Take the last away
        </UButton>
      </template>
    </p>
  </fieldset>
</template>

<style scoped>
.list {
  border: 0;
  padding: 4px 0;
  margin: 0;
  min-width: 0;
}
.cells {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(84px, 1fr));
  gap: 6px;
}
.cell {
  display: grid;
  grid-template-columns: 20px 1fr;
  align-items: baseline;
  gap: 3px;
}
.off {
  grid-column: 2;
  color: var(--warn);
  font-weight: 600;
  line-height: 1.2;
}
.problem {
  color: var(--stop);
  font-weight: 600;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  margin-top: 4px;
}
</style>
