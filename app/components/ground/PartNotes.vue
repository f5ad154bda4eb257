<script setup lang="ts">
import { blankReadings } from '#core/ground/blankArea'
import type { LawnPart, MeasuredWith } from '#core/ground/areaShape'
import { inInstrumentUnits } from '#core/ground/instrumentUnits'
import { METHODS } from '#core/ground/methods/methods'
import type { GroundStray } from '#core/ground/readFieldNotes'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { METHOD_GROUPS, METHOD_HINTS, READING_WORDS } from './methodWords'

/** One piece of a lawn: what it is, how it was measured, its readings. */
const props = defineProps<{
  part: LawnPart
  index: number
  /** What its lengths are read off. */
  instrument: MeasuredWith['instrument']
  path: string
  only: boolean
  stray?: GroundStray
}>()
const emit = defineEmits<{ drop: [] }>()
const { set, locked, problemAt } = useForm()
const crew = useCrewStore()
const signs = [
  { value: 'add', text: 'add' },
  { value: 'subtract', text: 'take away' },
] as const
const method = computed(() =>
  props.part.shape === 'known' || props.part.shape === 'outline' ? undefined : METHODS[props.part.shape],
)
const blank = computed(() => ({
  text: '',
  unit: props.instrument === 'paced' ? ('paces' as const) : SYSTEM_UNITS[crew.units].length,
}))
const asksRule = computed(() => method.value?.ruleQuestion !== undefined && props.part.rule === '')
const rules = computed(() => [
  ...(asksRule.value ? [{ value: '' as const, text: 'say which' }] : []),
  ...(method.value?.rules ?? []).map(({ rule, assumes }) => ({ value: rule, text: `${rule}: ${assumes}` })),
])
const shapes = METHOD_GROUPS.map(({ name, shapes: list }) => [
  { type: 'label' as const, label: name },
  ...list.map(({ value, text }) => ({ label: text, value })),
])
const problem = computed(() => problemAt(props.path) ?? problemAt(`${props.path}.list`))

/** Another way of measuring: its own readings; those of the same name stay. */
function changeShape(shape: LawnPart['shape']) {
  const { id, sign, size, what, until, with: other, lengths } = props.part
  const fresh = blankReadings(shape, crew.units)
  const kept = Object.fromEntries(
    Object.entries(fresh.lengths).map(([name, entered]) => [
      name,
      lengths[name as keyof typeof lengths] ?? entered,
    ]),
  )
  const part: LawnPart = {
    id,
    sign,
    size,
    ...(what !== undefined && { what }),
    ...(until !== undefined && { until }),
    ...(other && { with: other }),
    ...fresh,
    lengths: kept,
    ...(fresh.list && props.part.list && { list: props.part.list }),
  }
  const { instrument } = props
  set(props.path, inInstrumentUnits({ instrument, parts: [part] }, crew.units).parts[0])
}
</script>

<template>
  <div class="part" :class="part.sign">
    <div class="fields">
      <ChoiceField v-if="index > 0" :path="`${path}.sign`" label="This shape" :choices="signs" />
      <LabelledField label="Measured as" class="method">
        <USelect
          :model-value="part.shape"
          :items="shapes"
          :data-path="`${path}.shape`"
          :disabled="locked"
          class="w-full"
          @update:model-value="changeShape($event as LawnPart['shape'])"
        />
      </LabelledField>
      <QuantityField v-if="part.shape === 'known'" :path="`${path}.size`" />
      <QuantityField v-if="part.shape === 'known'" :path="`${path}.give`" />
      <template v-if="method">
        <QuantityField
          v-for="name in method.fixed"
          :key="name"
          :path="`${path}.lengths.${name}`"
          :unit="blank.unit"
          :label="READING_WORDS[name]"
        />
        <QuantityField v-if="method.angle" :path="`${path}.angle`" :label="method.angle" />
      </template>
      <OutlineSource v-if="part.shape === 'outline'" :part="part" :path="path" />
      <template v-if="part.sign === 'subtract'">
        <TextField :path="`${path}.what`" label="What it is" placeholder="bed, house, seeded" />
        <DayField
          label="Taken away until"
          :day="part.until ?? ''"
          :path="`${path}.until`"
          :locked="locked"
          @change="set(`${path}.until`, $event)"
        />
      </template>
    </div>
    <p v-if="METHOD_HINTS[part.shape]" class="soft small">{{ METHOD_HINTS[part.shape] }}</p>
    <template v-if="method?.list">
      <ReadingList
        :list="part.list ?? []"
        :path="`${path}.list`"
        :one="method.list.one"
        :group="part.shape === 'triangles' ? 3 : undefined"
      />
      <ChoiceField
        v-if="rules.length > 0"
        :path="`${path}.rule`"
        label="Worked by"
        :locked="locked"
        @change="set(`${path}.rule`, $event)"
        :value="asksRule ? '' : part.rule || rules[0]!.value"
        :choices="rules"
      />
      <RadiiForms v-if="part.shape === 'radii'" :part="part" />
    </template>
    <OutlinePart v-if="part.shape === 'outline'" :part="part" :path="path">
      <UButton v-if="!only" variant="link" size="sm" @click="emit('drop')"> Remove this shape </UButton>
    </OutlinePart>
    <p v-if="problem && problem.kind === 'wrong'" class="problem small" role="alert">{{ problem.message }}</p>
    <p v-if="stray" class="astray small" role="status">
      <UIcon name="i-lucide-triangle-alert" class="me-1 align-[-2px]" />{{ stray.message }}
    </p>
    <p v-if="!only && !locked && part.shape !== 'outline'" class="small">
      <UButton variant="link" size="sm" @click="emit('drop')">Remove this shape</UButton>
    </p>
  </div>
</template>

<style scoped>
.method {
  flex: 2 1 300px;
}
.part {
  padding: 6px 0;
  border-top: var(--rule-width) solid var(--rule);
}
.part.subtract {
  border-left: 3px solid var(--rule-strong);
  padding-left: 8px;
}
.problem {
  color: var(--stop);
  font-weight: 600;
}
.astray {
  color: var(--warn);
  font-weight: 600;
}
</style>
