<script setup lang="ts">
import type { SiteLayout } from '#core/ground/siteLayout'
import type { CoverageAsk } from '#core/lanes/coverage/workOutCoverage'
import { boundsOf } from '#core/ground/plane'
import { laneProblemWords } from '#core/lanes/lawns/laneWords'
import { formatMinutes } from '#core/quantity/format'
import type { ShownCoverage } from '~/composables/job/useCoverage'

/** One set-up over one lawn: its picture, and what it comes to. */
const props = defineProps<{
  name: string
  words: string
  ask: CoverageAsk | undefined
  lawnId: string
  lawnName: string
  layout: SiteLayout
  spray: boolean
}>()
const emit = defineEmits<{ told: [told: ShownCoverage | undefined] }>()
const library = useLibraryStore()
const shown = useShown()
const { told, problem, progress, giveUp, start } = useCoverage(
  () => props.ask,
  () => library.anchor?.bearing ?? 0,
)
watch([told, problem], () => emit('told', problem.value ? undefined : told.value))
const shapes = computed(() =>
  props.layout.shapes
    .filter(({ lawnId }) => lawnId === props.lawnId)
    .map(({ partId, rings, sign, place }) => ({
      key: partId,
      rings,
      sign,
      schematic: place !== undefined,
      tone: 'own' as const,
      bare: true,
    })),
)
const bounds = computed(() => boundsOf(shapes.value.flatMap(({ rings }) => rings.flat())))
const percent = (share: number) => ({ figure: (100 * share).toFixed(share < 0.1 ? 1 : 0), unit: '%' })
const rate = (perArea: number) => (props.spray ? shown.carrier(perArea) : shown.rate(perArea, 'mass'))
const amount = (si: number) => shown.amountOf(si, props.spray ? 'volume' : 'mass')
const PROBLEMS = {
  failed: 'It could not be worked out: change something, or reload.',
  'given up': 'Given up.',
  noCell: 'The lawn is smaller than a cell: there is nothing to paint.',
} as const
const problemWords = computed(() => {
  const kind = problem.value
  if (kind === undefined) return undefined
  return kind === 'failed' || kind === 'given up' || kind === 'noCell'
    ? PROBLEMS[kind]
    : laneProblemWords(kind, props.lawnName)
})
const strip = computed(() => {
  const worst = told.value?.worst
  if (!worst) return undefined
  const [a, b] = worst.between
  const where = b === undefined ? `beside lane ${a ?? ''}` : `between lanes ${a} and ${b}`
  return `${(100 * worst.share).toFixed(0)} % of what is meant, ${where}`
})
</script>

<template>
  <section class="space-y-2" :aria-label="name">
    <h2>
      {{ name }}<span class="soft font-normal">: {{ words }}</span>
    </h2>
    <slot />
    <div v-if="progress !== undefined" class="flex items-center gap-3" role="status">
      <UProgress
        :model-value="Math.round(100 * progress)"
        class="flex-1"
        :aria-label="`Working out ${name}`"
      />
      <UButton size="sm" label="Cancel" @click="giveUp" />
    </div>
    <p v-if="problemWords" class="small">
      <StateMark level="warn" :words="problemWords" />
      <UButton v-if="problem === 'given up'" variant="link" size="sm" label="Work it out" @click="start" />
    </p>
    <SiteMap
      :bounds="bounds"
      :bearing="library.anchor?.bearing ?? 0"
      :label="`Rates by ${name}`"
      tall="300px"
    >
      <MapShapes :shapes="shapes" />
      <RateHeat v-if="told" :picture="told.picture" :worst="told.worst" />
    </SiteMap>
    <RateLegend v-if="ask" :target="ask.target" :spray="spray" />
    <dl v-if="told && ask" class="figures">
      <dt>Mean</dt>
      <dd>
        <FigureText :shown="rate(told.figures.mean)" />
        <span class="soft">of <FigureText :shown="rate(ask.target)" /></span>
      </dd>
      <dt>Uneven (CV)</dt>
      <dd><FigureText :shown="percent(told.figures.cv)" /></dd>
      <dt>Under 80 %</dt>
      <dd><FigureText :shown="percent(told.figures.under80)" /> <span class="soft">of the lawn</span></dd>
      <dt>Over 120 %</dt>
      <dd><FigureText :shown="percent(told.figures.over120)" /></dd>
      <dt>Over the label’s most</dt>
      <dd v-if="told.overMost === undefined" class="soft">the label’s most is not known</dd>
      <dd v-else>
        <FigureText :shown="percent(told.overMost)" />
      </dd>
      <dt>Worst strip</dt>
      <dd>{{ strip ?? 'none long enough' }}</dd>
      <dt>Off the lawn</dt>
      <dd>
        <template v-if="told.off.length === 0">nothing</template>
        <span v-for="one in told.off.slice(0, 4)" :key="one.what" class="block"
          ><FigureText :shown="amount(one.amount)" /> <span class="soft">{{ one.what }}</span></span
        >
      </dd>
      <dt>On foot</dt>
      <dd>
        <FigureText
          :shown="{
            figure: formatMinutes(told.seconds),
            unit: 'min',
          }"
        />
        <span class="soft">{{ told.plan.turns }} turns</span>
      </dd>
    </dl>
    <p v-if="told?.coarser" class="small soft">
      The lawn is too large for such cells: <FigureText :shown="shown.distance(told.cell)" /> were taken.
    </p>
    <InlineWorking v-if="told" :lines="told.pages.flatMap(({ lines }) => lines)" />
  </section>
</template>

<style scoped>
.figures {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 2px 14px;
  font-size: 14.5px;
}
.figures dt {
  color: var(--soft);
}
</style>
