<script setup lang="ts">
import { PRODUCT_KINDS } from '#core/label/productDocument'
import { STEP_WHENS } from '#core/program/stepWhens'
import type { ProgramStep, StepWhen } from '#core/program/programShape'
import { CUE_KINDS } from '#core/season/cues/cue'
import { WINDOW_NAMES } from '#core/season/windows/seasonWindow'
import type { Product } from '#shared/schemas/product'

/** One step of a program being written: what, when, how often. */
const props = defineProps<{
  step: ProgramStep
  path: string
  steps: readonly ProgramStep[]
  products: readonly Product[]
}>()
const { set, problemAt } = useForm()
const kinds = [
  { value: '', text: 'work without a product' },
  ...PRODUCT_KINDS.map((value) => ({ value, text: value })),
]
const WHEN_WORDS: Readonly<Record<StepWhen['by'], string>> = {
  window: 'a season window',
  soil: 'soil temperature',
  dates: 'the calendar',
  'heat units': 'heat units',
  after: 'days after another step',
  seed: 'days around the seed',
  cue: 'something seen on the site',
}
const whens = STEP_WHENS.map((value) => ({ value, text: WHEN_WORDS[value] }))
/** Two windows of one title, each for its grasses. */
const SEASON_OF: Readonly<Record<string, string>> = {
  'cool feed': ', cool-season grass',
  'warm feed': ', warm-season grass',
}
const windows = [
  { value: '' as const, text: 'choose' },
  ...WINDOW_NAMES.map((value) => ({ value, text: `${WINDOW_TITLES[value]}${SEASON_OF[value] ?? ''}` })),
]
const cues = [{ value: '' as const, text: 'choose' }, ...CUE_KINDS.map((value) => ({ value, text: value }))]
const halves = [
  { value: 'warming', text: 'while it warms' },
  { value: 'cooling', text: 'while it cools' },
] as const
const others = computed(() => [
  { value: '', text: 'choose' },
  ...props.steps
    .filter(({ id }) => id !== props.step.id)
    .map(({ id, title }) => ({ value: id, text: title })),
])
const shelf = computed(() => [
  { value: '', text: 'chosen when it comes to it' },
  ...props.products
    .filter(({ document }) => document.kind === props.step.kind)
    .map(({ id, name }) => ({ value: id, text: name })),
])
const wrong = (field: string) => {
  const found = problemAt(`${props.path}.${field}`)
  return found?.kind === 'wrong' ? found.message : undefined
}
const RANGE = ['window', 'cue', 'from', 'units', 'daysFrom', 'step'] as const
const whenProblem = computed(() => RANGE.map((name) => wrong(`when.${name}`)).find(Boolean))
/** Told by days from something else. */
const COUNTED: readonly StepWhen['by'][] = ['after', 'seed', 'cue']
const again = computed(() => props.step.times.trim() !== '' && props.step.times.trim() !== '1')
</script>

<template>
  <div class="space-y-2">
    <div class="fields">
      <TextField :path="`${path}.title`" label="Step" class="wide" />
      <ChoiceField :path="`${path}.kind`" label="Kind of product" :choices="kinds" class="wide" />
      <ChoiceField
        v-if="step.kind"
        :path="`${path}.productId`"
        label="Product"
        :choices="shelf"
        class="wide"
      />
      <QuantityField
        v-if="step.kind === 'fertilizer'"
        :path="`${path}.nitrogen`"
        :units="['lb/1000 ft2', 'lb/ac', 'g/m2', 'kg/ha']"
      />
    </div>
    <div class="fields">
      <ChoiceField :path="`${path}.when.by`" label="When, by" :choices="whens" />
      <ChoiceField
        v-if="step.when.by === 'window'"
        :path="`${path}.when.window`"
        label="Window"
        :choices="windows"
      />
      <template v-if="step.when.by === 'soil'">
        <ChoiceField :path="`${path}.when.half`" label="Soil" :choices="halves" />
        <QuantityField :path="`${path}.when.soilFrom`" />
        <QuantityField :path="`${path}.when.soilTo`" />
      </template>
      <template v-if="step.when.by === 'dates'">
        <YearDayField
          label="From"
          :day="step.when.from"
          placeholder="1 June"
          @change="set(`${path}.when.from`, $event)"
        />
        <YearDayField
          label="To"
          :day="step.when.to"
          placeholder="20 June"
          @change="set(`${path}.when.to`, $event)"
        />
      </template>
      <template v-if="step.when.by === 'heat units'">
        <TextField :path="`${path}.when.base`" label="Above, °C" placeholder="10" />
        <TextField :path="`${path}.when.units`" label="Units, °C days" />
        <YearDayField
          label="Counted from"
          :day="step.when.since"
          placeholder="1 March"
          @change="set(`${path}.when.since`, $event)"
        />
      </template>
      <ChoiceField
        v-if="step.when.by === 'after'"
        :path="`${path}.when.step`"
        label="After"
        :choices="others"
      />
      <ChoiceField v-if="step.when.by === 'cue'" :path="`${path}.when.cue`" label="Seen" :choices="cues" />
      <template v-if="COUNTED.includes(step.when.by)">
        <TextField :path="`${path}.when.daysFrom`" label="Days, from" placeholder="30" />
        <TextField :path="`${path}.when.daysTo`" label="to" placeholder="45" />
      </template>
      <TextField :path="`${path}.times`" label="How often" placeholder="once" />
      <TextField v-if="again" :path="`${path}.every`" label="Days between" />
    </div>
    <p v-if="whenProblem" role="alert" class="small">{{ whenProblem }}</p>
    <p v-if="wrong('times') || wrong('every')" role="alert" class="small">
      {{ wrong('times') ?? wrong('every') }}
    </p>
    <TextField :path="`${path}.notes`" label="Notes" />
  </div>
</template>
