<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { compareSetUps } from '#core/lanes/coverage/compareSetUps'
import type { CoverageAsk } from '#core/lanes/coverage/workOutCoverage'
import { labelMost } from '#core/job/lanes/labelMost'
import { cellFor, readSetUp, setUpOfJob, targetOf, type SetUpDraft } from '#core/job/lanes/setUpDraft'
import { fieldReader } from '#core/quantity/fieldReader'
import { blankIn } from '#core/quantity/entered'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import type { SheetLanes } from '~/composables/job/useLanes'
import type { ShownCoverage } from '~/composables/job/useCoverage'

/** What the ground gets by the job as it stands, beside another way over it: which is better, and why. */
const props = defineProps<{ worked: SheetLanes; jobId: string }>()
const { document, sheet } = useSheet()
const crew = useCrewStore()
const spray = computed(() => document.value.method === 'spray')
const { pattern } = useThrow(() => props.worked.question.width)
const lawnId = ref('')
const lawns = computed(() => props.worked.question.lawns)
const lawn = computed(() => lawns.value.find(({ id }) => id === lawnId.value) ?? lawns.value[0])
const target = computed(() => targetOf(sheet.value, document.value.method))
const job = computed(() => setUpOfJob(props.worked.question, lawn.value, pattern.value, target.value))
/** As the job has it; the other in one pass where it takes more, in two where it takes one. */
const blank = (passes: string): SetUpDraft => {
  const { length, speed } = SYSTEM_UNITS[crew.units]
  return {
    passes,
    apart: blankIn(length),
    speed: blankIn(speed),
    headers: '',
    pattern: 'as known',
    deflector: document.value.lanes?.shutSide ?? '',
    wander: blankIn(length),
    speedSd: blankIn('%'),
    lag: blankIn(length),
  }
}
/** Kept on this device: a reload loses nothing. */
const drafts = useLocalStorage(`hectarum-set-ups:${props.jobId}`, {
  a: blank(''),
  b: blank(props.worked.question.passes > 1 ? '1' : '2'),
})
const read = computed(() => {
  const fields = fieldReader()
  return {
    a: readSetUp(drafts.value.a, job.value, 'a', fields),
    b: readSetUp(drafts.value.b, job.value, 'b', fields),
    problems: fields.problems,
  }
})
const seed = useLocalStorage(`hectarum-seed:${props.jobId}`, 1)
const most = computed(() => labelMost(document.value))
function askOf(side: 'a' | 'b'): CoverageAsk | undefined {
  const { setUp } = read.value[side]
  if (!lawn.value || !(target.value > 0)) return undefined
  return {
    shapes: lawn.value.shapes,
    buffers: props.worked.question.buffers,
    setUp,
    target: target.value,
    most: most.value === undefined ? undefined : most.value * target.value,
    cell: cellFor(setUp.width),
    seed: seed.value,
  }
}
const asks = computed(() => ({ a: askOf('a'), b: askOf('b') }))
const told = shallowReactive<{ a?: ShownCoverage | undefined; b?: ShownCoverage | undefined }>({})
const verdict = computed(() => {
  const side = (name: 'a' | 'b') => {
    const one = told[name]
    return one
      ? {
          words: `${name.toUpperCase()} (${read.value[name].words})`,
          told: one,
          seconds: one.seconds,
        }
      : undefined
  }
  const [a, b] = [side('a'), side('b')]
  return a && b ? compareSetUps(a, b) : undefined
})
const colours = useThemeColours()
const TENTHS = Array.from({ length: 20 }, (_, i) => `${i * 10}`)
const percents = (shares: readonly number[] | undefined) =>
  (shares ?? []).map((share) => Number((100 * share).toFixed(2)))
const histogram = computed(() => ({
  grid: { left: 56, right: 18, top: 34, bottom: 46 },
  xAxis: {
    type: 'category',
    data: TENTHS.map((from) => (from === '190' ? '190+' : from)),
    name: '% of what is meant',
    nameLocation: 'middle',
    nameGap: 28,
  },
  yAxis: { type: 'value', name: '% of the lawn' },
  color: [colours.value.wet, colours.value.dry],
  series: [
    { name: 'A', type: 'bar', data: percents(told.a?.shares), barGap: '0%' },
    { name: 'B', type: 'bar', data: percents(told.b?.shares) },
  ],
}))
const table = computed(() => ({
  heads: ['% of what is meant', 'A, % of the lawn', 'B, % of the lawn'],
  rows: TENTHS.map((from, i) => [
    i === TENTHS.length - 1 ? `${from} and more` : `${from} to ${Number(from) + 10}`,
    (percents(told.a?.shares)[i] ?? 0).toFixed(1),
    (percents(told.b?.shares)[i] ?? 0).toFixed(1),
  ]),
}))
</script>

<template>
  <div class="space-y-4">
    <div class="flex flex-wrap items-end gap-x-6 gap-y-2">
      <ChoiceField
        v-if="lawns.length > 1"
        label="Lawn"
        :value="lawn?.id ?? ''"
        :choices="lawns.map(({ id, name }) => ({ value: id, text: name }))"
        @change="lawnId = $event"
      />
      <p class="small soft max-w-[60ch]">
        Pattern: {{ pattern.words }}. Wander, pace and gate are a practised walker’s unless typed. The dial is
        set for passes and lanes; where only the pace differs, it stays.
      </p>
      <UButton variant="link" size="sm" icon="i-lucide-dices" label="Walk it once more" @click="seed += 1" />
    </div>
    <p v-if="verdict" class="verdict" role="status">{{ verdict.sentence }}</p>
    <div class="sides">
      <CoverageSide
        v-for="side in ['a', 'b'] as const"
        :key="side"
        :name="side.toUpperCase()"
        :words="read[side].words"
        :ask="asks[side]"
        :lawn-id="lawn?.id ?? ''"
        :lawn-name="lawn?.name ?? ''"
        :layout="worked.layout"
        :spray="spray"
        @told="told[side] = $event"
      >
        <UCollapsible>
          <UButton
            variant="link"
            size="sm"
            icon="i-lucide-sliders-horizontal"
            :label="`Change ${side.toUpperCase()}`"
          />
          <template #content>
            <SetUpFields
              class="pt-1 pb-2"
              :draft="drafts[side]"
              :path="side"
              :spread="!spray"
              :problems="read.problems"
              @change="drafts = { ...drafts, [side]: $event }"
            />
          </template>
        </UCollapsible>
      </CoverageSide>
    </div>
    <FigureChart
      v-if="told.a || told.b"
      :option="histogram"
      :table="table"
      label="How much of the lawn gets how much of what is meant"
    />
  </div>
</template>

<style scoped>
.verdict {
  font-size: 18px;
  font-weight: 600;
  border-left: 3px solid var(--action);
  padding-left: 12px;
}
.sides {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 20px 28px;
}
@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
