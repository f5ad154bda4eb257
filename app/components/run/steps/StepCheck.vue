<script setup lang="ts">
import { readNotNegative, type Entered } from '#core/quantity/entered'
import { formatGive } from '#core/quantity/format'
import { paceAsSet } from '#core/run/corrections/paceAsSet'
import { MASS_UNITS, type MassUnit } from '#core/quantity/units'
import { checkpointResult } from '#core/run/corrections/checkpoint'
import type { ReadingWay } from '#core/run/corrections/reading'
import type { RunStep } from '#core/run/steps/runSteps'
import { shouldBeAt } from '#core/run/steps/shouldBeAt'
import { openWorkingBook } from '#core/working/working'
import type { EventBody } from '~/composables/run/useRun'

/** One number typed, one sentence back. */
const { step } = defineProps<{ step: Extract<RunStep, { kind: 'check' }> }>()
const { frozen, progress, done } = useRunScreen()
const crew = useCrewStore()
const shown = useShown()
const lanes = useStretch(() => step)
/**
 * One stops at the end of a lane, a little before or behind the place the plan had in mind; where that is the
 * lane one has weighed at, on the way along the next.
 */
const share = computed(() => {
  const laneEnd = lanes.value.at(-1)?.behind
  const weighedAt = progress.value.checked.find((one) => isHere(one, laneEnd))
  return laneEnd === undefined || (weighedAt && !isHere(weighedAt, step.share)) ? step.share : laneEnd
})
const isHere = (one: { readonly pass: number; readonly share: number }, at: number | undefined) =>
  at !== undefined && one.pass === step.pass && Math.abs(one.share - at) < NEAR
const before = progress.value.checked.find((one) => isHere(one, share.value))
const unit = computed(
  () => (step.should?.unit ?? frozen.value.worked?.hopper?.weighIn.unit ?? 'lb') as MassUnit,
)
const entered = useTyped<Entered<MassUnit>>(
  'left',
  before ? { text: String(before.left.value), unit: before.left.unit } : { text: '', unit: unit.value },
)
const way = useTyped<ReadingWay>('way', before?.way ?? 'weighed')
const WAYS = [
  { value: 'weighed', text: 'weighed' },
  { value: 'read', text: 'read off a mark' },
  { value: 'eye', text: 'by eye' },
] as const
const read = computed(() =>
  entered.value.text.trim() === '' ? undefined : readNotNegative(entered.value, 'mass', 'What is left'),
)
const entry = computed(() =>
  read.value?.ok
    ? { pass: step.pass, share: share.value, left: read.value.value, way: way.value }
    : undefined,
)
const { question, result, words, laid } = useCheckpoint(() => entry.value)
const should = computed(() => {
  const planned = shouldBeAt(step, share.value, frozen.value)
  const after = result.value?.should
  return after === undefined ? planned && shown.amount(planned) : shown.amountOf(after, 'mass')
})
const name = computed(() =>
  frozen.value.worked?.light ? 'What is left after this round?' : 'What is left in the hopper?',
)
useWorkingPages(
  () => {
    const book = openWorkingBook()
    shouldBeAt(step, share.value, frozen.value, book)
    if (question.value) checkpointResult(question.value, book)
    return book.pages()
  },
  computed(
    () =>
      new Map([
        ['run.should', 'What should be left'],
        ['run.checkpoint', 'Checkpoint'],
      ]),
  ),
)
const action = computed(() =>
  !words.value
    ? 'Not weighed, carry on'
    : words.value.dial
      ? 'Dial set, carry on'
      : words.value.pace
        ? 'Noted, carry on'
        : 'Carry on',
)

/** Rests so near to each other are of one place: lanes come a moment after the page. */
const NEAR = 0.05

function carryOn() {
  if (!entry.value || !words.value) return done()
  const bodies: EventBody[] = [{ kind: 'checked', payload: entry.value }]
  if (words.value.dial) bodies.push({ kind: 'set', payload: { dial: words.value.dial } })
  if (words.value.pace !== undefined)
    bodies.push({ kind: 'set', payload: { pace: paceAsSet(words.value.pace, crew.units) } })
  return done(bodies)
}
const twice = computed(() =>
  result.value && result.value.give > 0.01 ? `give or take ${formatGive(100 * result.value.give)} %` : '',
)
</script>

<template>
  <RunFrame :title="name" :action="action" :waits="read?.ok === false" @act="carryOn">
    <RunRow
      v-if="lanes.length > 0 && share === lanes.at(-1)?.behind"
      word="after lane"
      :text="String(lanes.at(-1)?.lane.number)"
    />
    <RunRow v-else word="of this pass" :text="`${Math.round(100 * share)} %`" />
    <RunRow v-if="should" word="should be"
      ><FigureText
        :shown="should"
        :page="result ? 'run.checkpoint' : 'run.should'"
        label="What should be left"
    /></RunRow>
    <RunFigure
      path="left"
      label="Left in the hopper"
      kind="mass"
      :entered="entered"
      :units="MASS_UNITS"
      :problem="read && !read.ok ? read.error.message : undefined"
      @change="entered = $event"
    />
    <RadioField class="pt-3" label="How it was found" :value="way" :choices="WAYS" @change="way = $event" />
    <RunAnswer v-if="words" :level="words.level" :words="words.stands">
      <p>{{ words.act }}</p>
      <p v-for="more in words.also" :key="more" class="small">{{ more }}</p>
      <p v-if="twice" class="soft small">{{ twice }}</p>
    </RunAnswer>
    <template v-if="words && result && laid">
      <RunRow word="all of it will end at"
        ><FigureText
          :shown="{ figure: String(Math.round(100 * words.endsAt)), unit: '% of plan' }"
          page="run.checkpoint"
          label="All of it will end at"
      /></RunRow>
      <RunRow
        word="the ground behind got"
        :shown="{ figure: `${laid.got} of ${laid.of.figure}`, unit: laid.of.unit }"
      />
    </template>
    <p v-if="words?.level === 'stop'" class="soft">
      Finish early, or an extra strip: both are under More at the top.
    </p>
  </RunFrame>
</template>
