<script setup lang="ts">
import { counted } from '#core/quantity/counting'
import { showQuantity } from '#core/quantity/systems'
import { areaSi } from '#core/quantity/quantity'
import { dayText } from '#core/calendar/dayText'
import { licenceStanding } from '#core/people/licence'
import type { EventPerson, FrozenPlan } from '#core/run/runEvent'
import { isSpotWork } from '#core/run/aftercare/spotGround'
import { treatedLawns } from '#core/run/treatedGround'
import type { CorrectionShown, RunRecord } from '#core/run/foldRun'
import { rateLawns } from '#core/run/rateLawns'

/**
 * The application record: who, when, where, what, how much, with what, and every correction beside what it
 * corrects.
 */
const props = defineProps<{ record: RunRecord }>()
const crew = useCrewStore()
const shown = useShown()
const when = (instant: string | undefined) => {
  if (!instant) return 'not entered'
  const { timeZone } = crew.organization ?? {}
  return props.record.only === 'day'
    ? dayText(calendarDay(instant, timeZone))
    : instantText(instant, timeZone)
}
const ground = computed(() => treatedLawns(props.record))
const isSpots = computed(
  () => props.record.used !== undefined && isSpotWork(props.record.frozen, props.record.used),
)
const spots = computed(() => (props.record.progress?.spots ?? []).map(({ at }) => at))
const ORIGINS: Readonly<Record<NonNullable<FrozenPlan['earlier']>, string>> = {
  planned: 'Taken over from records kept elsewhere, with the rates noted there.',
  'as used': 'Taken over from records kept elsewhere; no planned rate was noted, so none is judged.',
}
/** Who was signed in, and how their licence stood on the day it was finished. */
const personText = ({ name, role, licence, licenceEnds }: EventPerson) => {
  const day = calendarDay(props.record.finishedAt ?? crew.now(), crew.organization?.timeZone)
  const standing = licenceStanding(licence, licenceEnds, day)
  const told = standing === 'none' ? 'no licence noted' : `licence ${licence}`
  const ended = standing === 'ended' ? `, which had ended on ${dayText(licenceEnds)}` : ''
  return `${name}, ${role}, ${told}${ended}`
}
const FIELDS: Readonly<Record<string, string>> = {
  treated: 'Lawn treated',
  left: 'Left',
  made: 'Spray made',
  by: 'Done by',
  licence: 'Licence',
  target: 'Target',
  weather: 'Weather',
  remarks: 'Remarks',
}
const fieldName = (field: string) =>
  FIELDS[field] ??
  (field.startsWith('apart.')
    ? `On ${rateLawns(props.record.frozen, Number(field.slice('apart.'.length)))}`
    : undefined) ??
  'Put in, ' +
    (props.record.frozen.labels.find(({ productId }) => field === `putIn.${productId}`)?.name ?? 'product')
const entry = (value: CorrectionShown['now'] | undefined) =>
  value === undefined || value === ''
    ? 'blank'
    : typeof value === 'string'
      ? value
      : `${value.value} ${value.unit}`
const carrier = computed(() =>
  props.record.frozen.request.method.kind === 'spray'
    ? props.record.frozen.request.method.carrier
    : undefined,
)
/** Lawns, each with its rates where they differ. */
const lawns = computed(() => {
  const {
    request: { areas },
    plan: { rates },
  } = props.record.frozen
  if (!rates || rates.length < 2) return areas.map(({ name }) => name).join(', ')
  return rates
    .map(
      (group) =>
        `${group.areas.map((id) => areas.find((area) => area.id === id)?.name ?? id).join(', ')} at ` +
        group.products
          .map(({ rate }) => `${showQuantity(rate).figure} ${showQuantity(rate).unit}`)
          .join(', '),
    )
    .join('; ')
})
</script>

<template>
  <article class="space-y-4">
    <header class="flex flex-wrap items-baseline justify-between gap-x-6 border-b-2 border-(--ink) pb-1">
      <h1>{{ record.frozen.site || 'Unnamed site' }}</h1>
      <p>Application record, {{ crew.organization?.name }}</p>
    </header>
    <dl class="facts">
      <dt>Started</dt>
      <dd>{{ when(record.startedAt) }}</dd>
      <dt>Finished</dt>
      <dd>{{ when(record.finishedAt) }}</dd>
      <dt>Done by</dt>
      <dd>{{ record.details?.by || 'not entered' }}</dd>
      <dt>Licence</dt>
      <dd>{{ record.details?.licence || 'not entered' }}</dd>
      <template v-if="record.person"
        ><dt>Entered by</dt>
        <dd>{{ personText(record.person) }}</dd></template
      >
      <template v-if="record.counterSigned"
        ><dt>Counter-signed by</dt>
        <dd>
          {{ record.counterSigned.name }}, licence {{ record.counterSigned.licence }},
          {{ when(record.counterSigned.at) }}
        </dd></template
      >
      <dt>Lawns</dt>
      <dd>{{ lawns }}</dd>
      <template v-if="record.frozen.checkPlots"
        ><dt>Check plots</dt>
        <dd>{{ record.frozen.checkPlots.join(', ') }}, untreated</dd></template
      >
      <dt>Treated</dt>
      <dd v-if="record.used"><FigureText :shown="shown.size(areaSi(record.used.treated))" /></dd>
      <dt>Target</dt>
      <dd>{{ record.details?.target || 'not entered' }}</dd>
      <dt>Weather</dt>
      <dd>{{ record.details?.weather || 'not entered' }}</dd>
      <dt>Equipment</dt>
      <dd>{{ record.frozen.equipment || 'not entered' }}</dd>
      <dt>Calibration</dt>
      <dd>{{ record.frozen.calibration || 'not entered' }}</dd>
      <template v-if="carrier"
        ><dt>Carrier</dt>
        <dd><FigureText :shown="showQuantity(carrier)" page="carrier" label="Carrier" /></dd
      ></template>
      <template v-if="record.used"
        ><dt>Left over</dt>
        <dd>{{ entry(record.used.left) }}</dd></template
      >
      <dt>Remarks</dt>
      <dd>{{ record.details?.remarks || 'none' }}</dd>
    </dl>
    <section v-if="ground.length > 0" aria-labelledby="ground-title">
      <h2 id="ground-title">Ground treated</h2>
      <SiteSketch
        :lawns="ground"
        :method="record.frozen.request.method.kind"
        :width="520"
        :height="240"
        :marks="spots"
      />
      <p v-if="spots.length > 0">{{ counted(spots.length, 'spot') }} treated, marked on it.</p>
      <p v-if="isSpots">Spot work: the ground treated is what was used at the calibrated carrier.</p>
    </section>
    <section>
      <h2>Products</h2>
      <OutcomeVerdicts :outcomes="record.outcomes" :frozen="record.frozen" />
      <ul class="soft small mt-1">
        <li v-for="label in record.frozen.labels" :key="label.productId">
          {{ label.name }}: registration {{ label.registration || 'not entered' }}
        </li>
      </ul>
    </section>
    <RunHistory :record="record" />
    <section v-if="record.corrections.length > 0">
      <h2>Corrections</h2>
      <ol>
        <li v-for="(correction, i) in record.corrections" :key="i" class="rule-b py-1.5">
          <strong>{{ fieldName(correction.field) }}</strong>: <s>{{ entry(correction.was) }}</s> →
          {{ entry(correction.now) }}. {{ correction.reason }}
          <span class="soft small"
            >{{ correction.by ? `${correction.by}, ` : '' }}{{ when(correction.at) }}</span
          >
        </li>
      </ol>
    </section>
    <p v-if="record.awaitsCounterSign" role="status">
      An apprentice carried this out: a licensed person has yet to counter-sign it.
    </p>
    <p v-if="record.frozen.earlier">{{ ORIGINS[record.frozen.earlier] }}</p>
    <p v-if="record.frozen.afterwards" class="small">Entered afterwards, not step by step.</p>
    <p v-if="record.skew" class="small">{{ record.skew }}</p>
    <p v-if="record.gaps.length > 0" role="alert">
      Some entries of another device have not arrived yet; this record may change.
    </p>
    <p class="soft small">
      Worked out by core {{ record.frozen.coreVersion }}. Corrections are additions with a reason; the first
      entry stays readable.
    </p>
  </article>
</template>

<style scoped>
.facts {
  display: grid;
  grid-template-columns: 120px 1fr 120px 1fr;
  gap: 6px 14px;
}
.facts dt {
  color: var(--soft);
}
@media (max-width: 700px) {
  .facts {
    grid-template-columns: 110px 1fr;
  }
}
</style>
