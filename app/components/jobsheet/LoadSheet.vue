<script setup lang="ts">
import { dialOf } from '#core/jobsheet/dialChecks'
import { dayText } from '#core/calendar/dayText'
import type { ApplicationSheet } from '#core/jobsheet/applicationSheet'
import type { ApplicationDocument } from '#core/jobsheet/document'
import type { JobState } from '#core/jobsheet/chain'
import { chargeLevels } from '#core/plan/chargeLevels'
import { loadGroups } from '#core/plan/loadGroups'
import { mixingOrder } from '#core/plan/mixingOrder'
import { prettyUnits, showMeasured, showQuantity } from '#core/quantity/systems'
import { tankIn } from '#core/plan/tankIn'
import type { JobDraft } from '~/composables/useJobDraft'

/** One page to take along, readable wet: lawns, what to measure in which order, and blanks for what was used. */
const props = defineProps<{ job: JobDraft, document: ApplicationDocument, place: string, sheet: ApplicationSheet, state: JobState }>()
const shown = useShown()
const document = computed(() => props.document)
const plan = computed(() => props.sheet.plan)
const ordered = computed(() => mixingOrder(document.value.products))
const totalOf = (id: string) => plan.value?.totals.products.find((product) => product.id === id)
const stepOf = (id: string) => props.sheet.products.find((product) => product?.id === id)?.measureStep
const groups = computed(() => {
  const { request } = props.sheet
  const first = plan.value?.loads[0]
  const tank = request && first && tankIn(request, first.carrier.unit)
  return plan.value && tank ? loadGroups(plan.value.loads, tank.value) : []
})
const charge = computed(() => plan.value?.totals.products[0])
const levels = computed(() => (charge.value?.charge ? chargeLevels(charge.value.charge, charge.value.amount, document.value.spread.passes) : []))
const open = computed(() => props.sheet.checks.filter(({ level }) => level !== 'note'))
</script>

<template>
  <article v-if="plan">
    <header class="flex items-baseline justify-between gap-4 border-b-2 border-(--ink) pb-1">
      <h1>{{ job.site || 'Unnamed site' }}</h1>
      <p>{{ dayText(job.plannedFor) }} · {{ state }}</p>
    </header>
    <p class="mt-1">{{ job.purpose }}<span v-if="place" class="soft"> · {{ place }}</span></p>

    <table class="mt-3">
      <thead><tr><th scope="col">Lawn</th><th scope="col" class="num">size</th></tr></thead>
      <tbody>
        <tr v-for="lawn in sheet.lawns.filter(({ treated }) => treated === 'yes')" :key="lawn.id">
          <td>{{ lawn.name }}</td><td class="num"><FigureText v-if="lawn.size" :shown="shown.size(lawn.size)" /></td>
        </tr>
        <tr class="sum"><td>Together</td><td class="num"><FigureText :shown="shown.size(sheet.size)" /></td></tr>
      </tbody>
    </table>

    <h2 class="mt-4">{{ document[document.method].equipment || (document.method === 'spray' ? 'Sprayer' : 'Spreader') }}</h2>
    <table v-if="document.method === 'spray'">
      <thead>
        <tr><th scope="col">In this order</th><th v-for="group in groups" :key="group.title" scope="col" class="num">{{ group.title }}</th><th scope="col" class="num">together</th></tr>
      </thead>
      <tbody>
        <tr><td>Water to start, then agitate</td><td v-for="group in groups" :key="group.title" class="num"><FigureText :shown="showQuantity({ value: group.load.carrier.value / 2, unit: group.load.carrier.unit })" /></td><td /></tr>
        <tr v-for="product in ordered" :key="product.id">
          <td>{{ product.name || 'Product' }} <span class="soft small">{{ product.form }}<template v-if="product.registration">, {{ product.registration }}</template></span></td>
          <td v-for="group in groups" :key="group.title" class="num big"><FigureText v-for="one in group.load.products.filter(({ id }) => id === product.id)" :key="one.id" :shown="showMeasured(one.measured, stepOf(one.id))" /></td>
          <td class="num"><FigureText v-if="totalOf(product.id)" :shown="showMeasured(totalOf(product.id)!.measured, stepOf(product.id))" /></td>
        </tr>
        <tr><td>Fill to</td><td v-for="group in groups" :key="group.title" class="num big"><FigureText :shown="showQuantity(group.load.carrier)" /></td><td class="num"><FigureText v-if="plan.totals.mix" :shown="showQuantity(plan.totals.mix)" /></td></tr>
        <tr><td>Covers</td><td v-for="group in groups" :key="group.title" class="num"><FigureText :shown="shown.size(group.load.size.value)" /></td><td /></tr>
      </tbody>
    </table>
    <table v-else-if="charge?.charge">
      <thead><tr><th scope="col">{{ document.products[0]?.name || 'Product' }}</th><th scope="col" class="num">weigh</th></tr></thead>
      <tbody>
        <tr><td>Weigh in, reserve included</td><td class="num big"><FigureText :shown="showQuantity(charge.charge)" /></td></tr>
        <tr v-for="level in levels" :key="level.pass"><td>Left after pass {{ level.pass }}<template v-if="dialOf(document.spread)">, dial at {{ dialOf(document.spread) }}</template></td><td class="num big"><FigureText :shown="showQuantity(level.left)" /></td></tr>
      </tbody>
    </table>

    <p v-if="sheet.walk" class="mt-3">
      Lanes <FigureText v-if="sheet.calibration" :shown="shown.distance(sheet.calibration.width)" /> apart<template v-if="sheet.calibration?.speedToday">, at <FigureText :shown="shown.speed(sheet.calibration.speedToday)" /></template>,
      <FigureText :shown="shown.distance(sheet.walk.distance)" /> to walk.
    </p>
    <ul v-if="open.length > 0" class="mt-3"><li v-for="check in open" :key="check.message">{{ check.level === 'stop' ? '■' : '▲' }} {{ prettyUnits(check.message) }}</li></ul>
    <p class="blanks mt-5">Started <span /> Finished <span /> Left over <span /> Wind, weather <span class="wide" /></p>
    <p class="soft small mt-3">The label is the law: rates, protection, re-entry and buffers as it says. Rinse three times onto treated ground; nothing down a drain; sweep granules off hard surfaces.</p>
  </article>
</template>

<style scoped>
table { border-collapse: collapse; width: 100%; }
th, td { text-align: left; font-weight: 400; padding: 6px 12px 6px 0; border-bottom: 1px solid var(--rule-strong); }
thead th { font-size: 13px; color: var(--soft); }
.num { text-align: right; padding-right: 0; padding-left: 12px; white-space: nowrap; }
.big { font-size: 22px; font-weight: 600; }
.sum td { font-weight: 600; }
.blanks span { display: inline-block; width: 110px; border-bottom: 1.5px solid var(--ink); margin-right: 14px; height: 1.3em; }
.blanks .wide { width: 200px; }
</style>
