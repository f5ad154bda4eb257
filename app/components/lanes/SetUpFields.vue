<script setup lang="ts">
import { HEADER_CHOICES } from '#core/draft/applicationChoices'
import { SET_UP_FIELDS } from '#core/job/lanes/laneFields'
import { PATTERN_CHOICES, type SetUpDraft } from '#core/job/lanes/setUpDraft'
import type { FieldProblem } from '#core/quantity/fieldReader'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import type { LengthUnit } from '#core/quantity/units'

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
      :field="SET_UP_FIELDS.apart"
      :path="`${path}.apart`"
      :entered="draft.apart"
      :units="lengths"
      :problem="wrong('apart')"
      @change="put({ apart: $event })"
    />
    <QuantityField
      :field="SET_UP_FIELDS.speed"
      :path="`${path}.speed`"
      :entered="draft.speed"
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
      :field="SET_UP_FIELDS.wander"
      :path="`${path}.wander`"
      :entered="draft.wander"
      :units="lengths"
      :problem="wrong('wander')"
      @change="put({ wander: $event })"
    />
    <QuantityField
      :field="SET_UP_FIELDS.speedSd"
      :path="`${path}.speedSd`"
      :entered="draft.speedSd"
      :problem="wrong('speedSd')"
      @change="put({ speedSd: $event })"
    />
    <QuantityField
      :field="SET_UP_FIELDS.lag"
      :path="`${path}.lag`"
      :entered="draft.lag"
      :units="lengths"
      :problem="wrong('lag')"
      @change="put({ lag: $event })"
    />
  </div>
</template>
