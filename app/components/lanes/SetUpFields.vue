<script setup lang="ts">
import { HEADER_CHOICES } from '#core/draft/applicationChoices'
import { PATTERN_CHOICES, type SetUpDraft } from '#core/job/lanes/setUpDraft'
import type { FieldProblem } from '#core/quantity/fieldReader'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { SPEED_UNITS, type LengthUnit } from '#core/quantity/units'

/** One way to go over the lawn; what is blank is as the job has it. */
const props = defineProps<{
  draft: SetUpDraft
  path: string
  spread: boolean
  problems: readonly FieldProblem[]
}>()
const emit = defineEmits<{ change: [draft: SetUpDraft] }>()
const crew = useCrewStore()
const metric = computed(() => SYSTEM_UNITS[crew.units].length === 'm')
const lengths = computed((): readonly LengthUnit[] => (metric.value ? ['m', 'cm', 'ft'] : ['ft', 'in', 'm']))
const put = (fields: Partial<SetUpDraft>) => emit('change', { ...props.draft, ...fields })
const wrong = (name: string) => props.problems.find(({ path }) => path === `${props.path}.${name}`)?.message
const headers = HEADER_CHOICES.map((value) => ({
  value,
  text: value === '' ? 'as the job' : value === '0' ? 'none' : value,
}))
const patterns = computed(() =>
  PATTERN_CHOICES.filter((value) => props.spread || value === 'as known').map((value) => ({
    value,
    text: value,
  })),
)
const sides = [
  { value: '', text: 'none' },
  { value: 'left', text: 'left' },
  { value: 'right', text: 'right' },
] as const
</script>

<template>
  <div class="fields">
    <TextField
      label="Passes"
      :path="`${path}.passes`"
      :text="draft.passes"
      placeholder="as the job"
      :problem="wrong('passes')"
      @change="put({ passes: $event })"
    />
    <QuantityField
      label="Lanes apart"
      :path="`${path}.apart`"
      kind="length"
      :entered="draft.apart"
      :units="lengths"
      :problem="wrong('apart')"
      @change="put({ apart: $event })"
    />
    <QuantityField
      label="Pace"
      :path="`${path}.speed`"
      kind="speed"
      :entered="draft.speed"
      :units="SPEED_UNITS"
      :problem="wrong('speed')"
      @change="put({ speed: $event })"
    />
    <ChoiceField
      label="Laps"
      :path="`${path}.headers`"
      :value="draft.headers"
      :choices="headers"
      @change="put({ headers: $event })"
    />
    <ChoiceField
      v-if="patterns.length > 1"
      label="Pattern"
      :path="`${path}.pattern`"
      :value="draft.pattern"
      :choices="patterns"
      @change="put({ pattern: $event })"
    />
    <ChoiceField
      v-if="spread"
      label="Edge deflector"
      :path="`${path}.deflector`"
      :value="draft.deflector"
      :choices="sides"
      @change="put({ deflector: $event })"
    />
    <QuantityField
      label="Off the lane, give or take"
      :path="`${path}.wander`"
      kind="length"
      :entered="draft.wander"
      :units="lengths"
      :problem="wrong('wander')"
      @change="put({ wander: $event })"
    />
    <QuantityField
      label="Pace, give or take"
      :path="`${path}.speedSd`"
      kind="percent"
      :entered="draft.speedSd"
      :problem="wrong('speedSd')"
      @change="put({ speedSd: $event })"
    />
    <QuantityField
      label="Gate opens late by"
      :path="`${path}.lag`"
      kind="length"
      :entered="draft.lag"
      :units="lengths"
      :problem="wrong('lag')"
      @change="put({ lag: $event })"
    />
  </div>
</template>
