<script setup lang="ts">
import { readPositive, type Entered } from '#core/quantity/entered'
import { areaIn, areaSi } from '#core/quantity/quantity'
import type { LoadPlan } from '#core/plan/plan'
import { showMeasured, showQuantity, SYSTEM_UNITS, type Shown } from '#core/quantity/systems'
import { AREA_UNITS, type AreaUnit } from '#core/quantity/units'
import { paceAsSet } from '#core/run/corrections/paceAsSet'
import { loadsToCome } from '#core/run/corrections/remainingLoads'
import { loadsDone, type RunStep } from '#core/run/steps/runSteps'
import { openWorkingBook } from '#core/working/working'
import type { EventBody } from '~/composables/run/useRun'

/** The ground that a load really covered, and what that means for the loads to come. */
const { step } = defineProps<{ step: Extract<RunStep, { kind: 'cover' }> }>()
const { frozen, progress, steps, done } = useRunScreen()
const crew = useCrewStore()
const shown = useShown()
const { size: sizeUnit } = SYSTEM_UNITS[crew.units]
const before = progress.value.covered.find(({ load }) => load === step.load.number)?.covered
const entered = useTyped<Entered<AreaUnit>>(
  'covered',
  before ? { text: String(before.value), unit: before.unit } : { text: '', unit: sizeUnit },
)
const read = computed(() =>
  entered.value.text.trim() === '' ? undefined : readPositive(entered.value, 'area', 'Lawn covered'),
)
/** Left blank it covered what it should. */
const covered = computed(() =>
  read.value === undefined
    ? areaIn(areaSi(step.load.size), sizeUnit)
    : read.value.ok
      ? read.value.value
      : undefined,
)
const loads = computed(() => steps.value.flatMap((one) => (one.kind === 'spray' ? [one.load] : [])))
const found = computed(() => {
  if (!covered.value) return undefined
  const entry = { load: step.load.number, covered: covered.value, take: 'plan' as const, at: '' }
  const others = progress.value.covered.filter(({ load }) => load < entry.load)
  return loadsDone(loads.value, { ...progress.value, covered: [...others, entry] }, entry.load)
})
const answer = computed(() => found.value && loadsToCome(frozen.value.request, found.value))
const off = computed(() => answer.value?.answer === 'put right')
const mixes = computed(() => step.anew === 'yes')
const over = computed(() => answer.value?.laid.filter(({ overLabel }) => overLabel) ?? [])
const percent = (share: number) => `${Math.round(100 * Math.abs(share))} %`
const pace = computed(() => {
  const planned = frozen.value.worked?.calibration?.speedToday
  return planned && answer.value ? planned * answer.value.pace : undefined
})
const stands = computed(() => {
  if (!answer.value) return ''
  const { carrierOver } = answer.value
  return off.value
    ? `${percent(carrierOver)} ${carrierOver > 0 ? 'more' : 'less'} spray on the ground than planned.`
    : 'As planned.'
})
const nameOf = (id: string) =>
  frozen.value.labels.find(({ productId }) => productId === id)?.name || 'a product'
const told = (shownAs: Shown) => `${shownAs.figure} ${shownAs.unit}`
const loadWords = ({ carrier, products }: LoadPlan) =>
  [
    told(showQuantity(carrier)),
    ...products.map(({ id, measured }) => `${nameOf(id)} ${told(showMeasured(measured, undefined))}`),
  ].join(', ')
useWorkingPages(
  () => {
    const book = openWorkingBook()
    if (found.value) loadsToCome(frozen.value.request, found.value, book)
    return book.pages()
  },
  computed(() => new Map([['run.loads', 'Loads to come']])),
)

const paceWords = (at: number) =>
  `${mixes.value ? 'Or walk' : 'Walk'} at ${told(shown.speed(at))}, mix as planned`

function take(how: 'mix' | 'pace' | 'plan') {
  if (!covered.value) return undefined
  const bodies: EventBody[] = [
    { kind: 'covered', payload: { load: step.load.number, covered: covered.value, take: how } },
  ]
  if (how === 'pace' && pace.value)
    bodies.push({ kind: 'set', payload: { pace: paceAsSet(pace.value, crew.units) } })
  return done(bodies)
}
</script>

<template>
  <RunFrame
    title="What lawn did it cover?"
    :action="off && mixes ? 'Mix the rest for it' : off ? 'Leave it as planned' : 'On to the next load'"
    :waits="!covered"
    @act="take(off && mixes ? 'mix' : 'plan')"
  >
    <RunRow word="should be" :shown="shown.size(areaSi(step.load.size))" />
    <RunFigure
      path="covered"
      label="Covered, if it is another figure"
      kind="area"
      :entered="entered"
      :units="AREA_UNITS"
      :problem="read && !read.ok ? read.error.message : undefined"
      @change="entered = $event"
    />
    <template v-if="answer">
      <RunAnswer :level="over.length > 0 ? 'stop' : off ? 'warn' : 'good'" :words="stands">
        <p v-if="over.length > 0">
          {{
            over
              .map(({ id, share }) => `${nameOf(id)} lies there at ${percent(share)} of what is meant`)
              .join('; ')
          }}: over the label’s most, and correcting the rest does not undo it. Don’t go over that ground
          again.
        </p>
      </RunAnswer>
      <template v-if="off">
        <RunRow word="carrier came as"
          ><FigureText :shown="shown.carrier(answer.carrier)" page="run.loads" label="Carrier came as"
        /></RunRow>
        <RunRow
          v-for="{ id, share } in answer.laid"
          :key="id"
          :word="`${nameOf(id)} there`"
          :text="`${percent(share)} of plan`"
        />
        <RunRow word="still to spray" :shown="shown.size(answer.rest)" />
        <template v-if="mixes">
          <h2 class="pt-4">Mixed for it</h2>
          <RunRow
            v-for="(load, i) in answer.loads"
            :key="i"
            :word="`load ${step.load.number + i + 1}`"
            :text="loadWords(load)"
          />
        </template>
        <p v-else class="soft">Other sites are sprayed out of this mix too: its strength stays as it is.</p>
        <div class="others">
          <UButton
            v-if="pace"
            size="xl"
            icon="i-lucide-gauge"
            :label="paceWords(pace)"
            @click="take('pace')"
          />
          <UButton v-if="mixes" size="xl" label="Leave it as planned" @click="take('plan')" />
        </div>
      </template>
    </template>
  </RunFrame>
</template>

<style scoped>
.others {
  display: grid;
  gap: 10px;
  padding-top: 14px;
}
.others > * {
  min-height: 56px;
  justify-content: center;
}
</style>
