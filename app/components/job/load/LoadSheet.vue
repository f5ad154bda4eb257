<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { WorkedApplication } from '#core/job/workOutJob'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import type { JobState } from '#core/job/chain'
import { enteredWords } from '#core/quantity/enteredWords'
import { loadGroups } from '#core/plan/loadGroups'
import type { RateGroup } from '#core/plan/plan'
import { groupPerPass } from '#core/plan/groupPerPass'
import { prettyUnits, showMeasured, showQuantity } from '#core/quantity/systems'
import { checkpointWords } from './checkpointWords'
import { tankIn } from '#core/plan/tankIn'
import { longestReentry } from '#core/run/reentry'
import type { JobDraft } from '~/composables/job/useJobDraft'

/**
 * One page to take along, readable wet: lawns, what to measure in which order, and blanks for what was used.
 */
const props = defineProps<{
  job: JobDraft
  /** Where it is, as one drives there. */
  address: string
  document: ApplicationDraft
  place: string
  sheet: WorkedApplication
  state: JobState
  dialFor: (perPass: number) => string | undefined
}>()
const shown = useShown()
const document = computed(() => props.document)
const plan = computed(() => props.sheet.plan)
const nameOf = (id: string) => document.value.lawns.find((lawn) => lawn.id === id)?.name || 'a lawn'
const checkPlots = computed(() =>
  document.value.lawns.filter(({ treated }) => treated === 'check').map(({ name }) => name || 'a lawn'),
)
const passes = computed(() =>
  props.sheet.request?.method.kind === 'spread'
    ? props.sheet.request.method.passes
    : document.value.spread.passes,
)
const onePass = (group: RateGroup) => groupPerPass(group, passes.value) ?? 0
const fate = computed(() => {
  const { where = '', wait, water = '' } = document.value.fate ?? {}
  return [
    where && (where === 'soil' ? 'belongs in the soil' : 'belongs on the leaf'),
    wait?.text && `wait ${wait.text} ${wait.unit} before the next`,
    water && `watered in by ${water}`,
  ]
    .filter(Boolean)
    .join('; ')
})
const stepOf = (id: string) => props.sheet.products.find((product) => product?.id === id)?.measureStep
const groups = computed(() => {
  const { request } = props.sheet
  const first = plan.value?.loads[0]
  const tank = request && first && tankIn(request, first.carrier.unit)
  return plan.value && tank
    ? loadGroups(
        plan.value.loads,
        tank.value,
        document.value.spray.calibration.by === 'hose-end' ? 'bottle' : 'load',
      )
    : []
})
const library = useLibraryStore()
const hopper = computed(() => props.sheet.hopper)
const step = computed(() => props.sheet.products[0]?.measureStep)
/** What is open, and what the label asks for around the work. */
const open = computed(() =>
  props.sheet.checks.filter(({ level, code }) => level !== 'note' || code === 'label-says'),
)
const reentry = computed(() =>
  enteredWords(longestReentry(document.value.products.map((one) => one.reentry))),
)
/** Filled in by hand. */
const BLANKS = [
  ['Started', ''],
  ['Finished', ''],
  ['Left over', ''],
  ['Wind, weather', 'wide'],
  ['Applied by', 'wide'],
  ['Licence', ''],
  ['Signed', 'wide'],
] as const
const SIGNS = { stop: '■', warn: '▲', note: '●' } as const
</script>

<template>
  <article v-if="plan">
    <header class="flex items-baseline justify-between gap-4 border-b-2 border-(--ink) pb-1">
      <h1>{{ job.site || 'Unnamed site' }}</h1>
      <p>{{ dayText(job.plannedFor) }} · {{ state }}</p>
    </header>
    <p class="mt-1">
      {{ job.purpose }}<span v-if="place" class="soft"> · {{ place }}</span>
    </p>
    <p v-if="address">{{ address }}</p>

    <table class="on-paper mt-3">
      <thead>
        <tr>
          <th scope="col">Lawn</th>
          <th scope="col" class="num">size</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="lawn in sheet.lawns.filter(({ treated }) => treated === 'yes')" :key="lawn.id">
          <td>{{ lawn.name }}</td>
          <td class="num"><FigureText v-if="lawn.size" :shown="shown.size(lawn.size)" /></td>
        </tr>
        <tr v-for="name in checkPlots" :key="name">
          <td>{{ name }}</td>
          <td class="num">check plot: leave untreated</td>
        </tr>
        <tr class="sum">
          <td>Together</td>
          <td class="num"><FigureText :shown="shown.size(sheet.size)" /></td>
        </tr>
      </tbody>
    </table>

    <h2 class="mt-4">
      {{ document[document.method].equipment || (document.method === 'spray' ? 'Sprayer' : 'Spreader') }}
    </h2>
    <LoadTable v-if="document.method === 'spray'" :document="document" :sheet="sheet" :groups="groups" />
    <table v-else-if="hopper" class="on-paper">
      <thead>
        <tr>
          <th scope="col">{{ document.products[0]?.name || 'Product' }}</th>
          <th scope="col" class="num">weigh</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <td>Weigh in, reserve included</td>
          <td class="num big"><FigureText :shown="showMeasured(hopper.weighIn, step)" /></td>
        </tr>
        <tr v-if="!plan.rates && sheet.wantedPerPass !== undefined">
          <td>
            Each pass<template v-if="sheet.dial"
              >, dial at <strong>{{ sheet.dial.setting }}</strong></template
            >
          </td>
          <td class="num"><FigureText :shown="shown.rate(sheet.wantedPerPass, 'mass')" /></td>
        </tr>
        <tr v-for="(level, i) in sheet.checkpoints" :key="i">
          <td>Left in pass {{ level.pass }}, {{ checkpointWords(level) }}</td>
          <td class="num" :class="{ big: level.at === 'end' }">
            <FigureText :shown="showQuantity(level.left)" />
          </td>
        </tr>
      </tbody>
    </table>

    <table v-if="plan.rates && document.method === 'spread'" class="on-paper mt-3">
      <thead>
        <tr>
          <th scope="col">Weighed and spread apart</th>
          <th scope="col">each pass</th>
          <th scope="col" class="num">rate</th>
          <th scope="col" class="num">weigh</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(group, i) in plan.rates" :key="i">
          <td>{{ group.areas.map(nameOf).join(', ') }}</td>
          <td>
            <FigureText :shown="shown.rate(onePass(group), 'mass')" /><template v-if="dialFor(onePass(group))"
              >, dial at <strong>{{ dialFor(onePass(group)) }}</strong></template
            >
          </td>
          <td class="num">
            <FigureText v-for="one in group.products" :key="one.id" :shown="showQuantity(one.rate)" />
          </td>
          <td class="num big">
            <FigureText
              v-for="one in group.products"
              :key="one.id"
              :shown="showMeasured(one.measured, stepOf(one.id))"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="fate" class="mt-3">After it: {{ fate }}.</p>
    <p v-if="sheet.walk" class="mt-3">
      Lanes
      <FigureText v-if="sheet.calibration" :shown="shown.distance(sheet.calibration.width)" /> apart<template
        v-if="sheet.calibration?.speedToday"
        >, at <FigureText :shown="shown.speed(sheet.calibration.speedToday)" /></template
      >, <FigureText :shown="shown.distance(sheet.walk.distance)" /> to walk.
    </p>
    <p v-if="library.ledgerState === 'missing'" class="mt-3">
      ▲ What lies on these lawns could not be read: intervals and limits of the year are not checked on this
      page.
    </p>
    <ul v-if="open.length > 0" class="mt-3">
      <li v-for="check in open" :key="check.message">
        {{ SIGNS[check.level] }} {{ prettyUnits(check.message) }}
      </li>
    </ul>
    <p class="mt-3">
      <strong>Nobody back</strong>
      <template v-if="reentry"> for {{ reentry }} after it is finished, until <i class="until" />, </template>
      until it is dry and as the label says. <strong>Gear</strong> as the label asks for mixing and applying;
      at least gloves, long sleeves, closed shoes.
    </p>
    <p class="blanks mt-3">
      <span v-for="[what, width] in BLANKS" :key="what">{{ what }} <i :class="width" /></span>
    </p>
    <p class="soft small mt-2">
      The label is the law: rates, protection, re-entry, buffers. Rinse three times onto treated ground;
      nothing down a drain; sweep granules off hard surfaces.
    </p>
  </article>
</template>

<style scoped>
.sum td {
  font-weight: 600;
}
.blanks {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
}
.blanks span {
  white-space: nowrap;
}
.blanks i {
  display: inline-block;
  width: 100px;
  border-bottom: 1.5px solid var(--ink);
  height: 1.3em;
}
.until {
  display: inline-block;
  width: 90px;
  border-bottom: 1.5px solid var(--ink);
}
.blanks .wide {
  width: 190px;
}
</style>
