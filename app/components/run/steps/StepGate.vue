<script setup lang="ts">
import { placeHour } from '#core/calendar/placeHour'
import { counted } from '#core/quantity/counting'
import { depthUnitOf } from '#core/quantity/toldDepth'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { SPEED_UNITS, TEMPERATURE_UNITS } from '#core/quantity/units'
import { gateFindings, gateGaps, readGate, type GateSubject } from '#core/run/gate/gateFindings'
import type { GateLimits } from '#core/run/gate/gateLimits'
import { blankGate, readByHand, type GateQuestion, type GateReadings } from '#core/run/gate/gateReadings'
import { goesAfter, passesAfter } from '#core/run/gate/passesAfter'
import { readingsFromHours } from '#core/run/gate/readingsFromHours'
import type { SiteHours } from '#shared/schemas/weather'
import type { EventBody } from '~/composables/run/useRun'

/** Go or no-go: what is read at the gate, what speaks against going, and from when it would go. */
const { frozen, progress, document, siteId, keep, done } = useRunScreen()
const crew = useCrewStore()
const speed = computed(() => SYSTEM_UNITS[crew.units].speed)
const last = progress.value.gates.at(-1)?.readings
const readings = ref<GateReadings>(
  last ??
    blankGate({ speed: speed.value, temperature: crew.temperatureUnit, depth: depthUnitOf(crew.units) }),
)
const reason = ref('')
const weather = shallowRef<SiteHours>()
const now = () => placeHour(new Date(crew.now()), crew.organization?.timeZone ?? 'UTC')

onMounted(async () => {
  if (siteId === null) return
  weather.value = await $fetch<SiteHours>(crewUrl(`/sites/${siteId}/hours`)).catch(() => undefined)
  if (!last) takeStation()
})
/** Today's hours of the station, where there is one. */
const today = computed(() => (weather.value?.hours ?? []).filter(({ on }) => on === crew.today()))
function takeStation() {
  const { value: told } = weather
  if (!told || told.station === '') return
  readings.value = readingsFromHours(
    readings.value,
    told.hours,
    crew.today(),
    now(),
    told.station,
    crew.units,
  )
}

const limits = computed(
  (): GateLimits =>
    frozen.value.limits ?? {
      method: document.value.method,
      forLeaf: document.value.fate?.where === 'leaf' ? 'yes' : 'no',
      dryLeaf: 'no matter',
      irrigation: 'none',
      mownOn: [],
      kinds: [],
      units: crew.units,
    },
)
const light = computed(() => {
  const { from, to } = weather.value?.light ?? {}
  return from === undefined || to === undefined ? undefined : { now: now(), rises: from, sets: to }
})
const read = computed(() => readGate(readings.value))
const findings = computed(() => gateFindings(readings.value, limits.value, light.value))
const unread = computed(() => gateGaps(readings.value, limits.value))
const stops = computed(() => findings.value.filter(({ level }) => level === 'stop'))
const later = (subject: GateSubject) => {
  const hour = passesAfter(subject, limits.value, today.value, now())
  return hour === undefined ? '' : ` It passes after ${hour}:00 by the forecast.`
}
const goes = computed(() => {
  const hour = goesAfter(
    stops.value.map(({ subject }) => subject),
    limits.value,
    today.value,
    now(),
  )
  return stops.value.length > 1 && hour !== undefined ? `All of it passes after ${hour}:00.` : ''
})
const problem = (path: string) => read.value.problems.find((one) => one.path === path)?.message
const take = (fields: Partial<GateReadings>) => {
  readings.value = readByHand(readings.value, fields)
}
const answer = (name: GateQuestion, to: GateReadings['answers'][GateQuestion]) =>
  take({ answers: { ...readings.value.answers, [name]: to } })

const EYES: readonly (readonly [GateQuestion, string])[] = [
  ['people', 'People and pets are off the lawn'],
  ['bees', 'No bees on flowering weeds'],
  ['notices', 'Notices are up'],
  ['equipment', 'Machine checked'],
  ['gear', 'Protective gear is on'],
  ['label', 'Label at hand'],
]
const eyes = computed(() => EYES.filter(([name]) => name !== 'bees' || limits.value.kinds.length > 0))
const YES_NO = [
  { value: 'yes', text: 'yes' },
  { value: 'no', text: 'no' },
] as const
const LEAF = [
  { value: 'dry', text: 'dry' },
  { value: 'wet', text: 'wet' },
] as const
const GROUND = [
  { value: 'dry', text: 'dry' },
  { value: 'moist', text: 'moist' },
  { value: 'soaked', text: 'soaked' },
] as const
const UNREAD: Readonly<Partial<Record<GateSubject, string>>> = {
  wind: 'wind',
  air: 'air',
  soil: 'soil',
  leaf: 'leaf',
  mown: 'mowing',
  people: 'people',
  bees: 'bees',
  notices: 'notices',
  equipment: 'machine',
  gear: 'gear',
  label: 'label',
}
const unreadWords = computed(() => unread.value.map((name) => UNREAD[name] ?? name).join(', '))
const worst = computed(() =>
  read.value.problems.length > 0
    ? 'stop'
    : (findings.value[0]?.level ?? (unread.value.length > 0 ? 'open' : 'good')),
)
/** What is below, in a few words beside the button. */
const summary = computed(() => {
  const told = (level: 'stop' | 'warn', one: string, many: string) => {
    const count = findings.value.filter((found) => found.level === level).length
    return count === 0 ? [] : [counted(count, one, many)]
  }
  const parts = [
    ...told('stop', 'stop', 'stops'),
    ...told('warn', 'warning', 'warnings'),
    ...(unread.value.length > 0 ? [`${unread.value.length} not read`] : []),
  ]
  const [wrong] = read.value.problems
  if (wrong) return wrong.message
  if (stops.value.length > 0 && reason.value.trim() === '') parts.push('a reason is needed')
  return parts.length > 0 ? parts.join(', ') : 'Nothing speaks against it.'
})
const held = computed(
  () => read.value.problems.length > 0 || (stops.value.length > 0 && reason.value.trim() === ''),
)
const entry = (decision: 'go' | 'wait') =>
  ({
    kind: 'gate',
    payload: {
      decision,
      readings: readings.value,
      findings: [...findings.value],
      unread: [...unread.value],
      reason: stops.value.length > 0 ? reason.value.trim() : '',
    },
  }) as EventBody
const go = () => done([entry('go')])
const waited = ref(false)
async function wait() {
  await keep([entry('wait')])
  waited.value = true
}
</script>

<template>
  <RunFrame title="Go or no-go" :action="stops.length > 0 ? 'Go all the same' : 'Go'" :waits="held" @act="go">
    <template #said>
      <StateMark :level="worst" :words="summary" />
    </template>
    <template v-if="stops.length > 0" #actions>
      <UButton size="xl" label="Wait" icon="i-lucide-hourglass" @click="wait" />
    </template>
    <p v-if="weather?.station" class="soft from">
      <span>{{ readings.from ? `By ${readings.from}; read it here where you can.` : '' }}</span>
      <UButton
        variant="link"
        icon="i-lucide-cloud-download"
        :label="`Take ${weather.station}`"
        @click="takeStation"
      />
    </p>
    <div class="pair">
      <QuantityField
        path="wind"
        label="Wind"
        kind="speed"
        :entered="readings.wind"
        :units="SPEED_UNITS"
        :problem="problem('wind')"
        @change="take({ wind: $event })"
      />
      <QuantityField
        path="gust"
        label="Gusts"
        kind="speed"
        :entered="readings.gust"
        :units="SPEED_UNITS"
        :problem="problem('gust')"
        @change="take({ gust: $event })"
      />
      <QuantityField
        path="air"
        label="Air"
        kind="temperature"
        :entered="readings.air"
        :units="TEMPERATURE_UNITS"
        :problem="problem('air')"
        @change="take({ air: $event })"
      />
      <QuantityField
        path="soil"
        label="Soil"
        kind="temperature"
        :entered="readings.soil"
        :units="TEMPERATURE_UNITS"
        :problem="problem('soil')"
        @change="take({ soil: $event })"
      />
      <QuantityField
        path="rainIn"
        label="Rain told in"
        kind="time"
        :entered="readings.rainIn"
        :units="['h', 'min', 'd']"
        :problem="problem('rainIn')"
        @change="take({ rainIn: $event })"
      />
      <QuantityField
        path="rained"
        label="Rain since yesterday"
        kind="length"
        :entered="readings.rained"
        :units="['in', 'mm']"
        :problem="problem('rained')"
        @change="take({ rained: $event })"
      />
      <QuantityField
        v-if="limits.mowBeforeHours !== undefined"
        path="mown"
        label="Mown ago"
        kind="time"
        :entered="readings.mown"
        :units="['h', 'd']"
        :problem="problem('mown')"
        @change="take({ mown: $event })"
      />
    </div>
    <div class="asked">
      <RadioField label="Leaf" :value="readings.leaf" :choices="LEAF" @change="take({ leaf: $event })" />
      <RadioField
        label="Ground"
        :value="readings.ground"
        :choices="GROUND"
        @change="take({ ground: $event })"
      />
      <RadioField
        v-for="[name, words] in eyes"
        :key="name"
        :label="words"
        :value="readings.answers[name]"
        :choices="YES_NO"
        @change="answer(name, $event)"
      />
    </div>
    <section aria-label="What speaks against it" aria-live="polite">
      <RunAnswer
        v-for="found in findings"
        :key="found.subject"
        :level="found.level"
        :words="`${found.message}${later(found.subject)}`"
      />
      <RunAnswer
        v-if="findings.length === 0"
        level="good"
        :words="
          unread.length === 0 ? 'Nothing speaks against it.' : 'Nothing that was read speaks against it.'
        "
      />
      <p v-if="goes">{{ goes }}</p>
      <p v-if="unread.length > 0" class="soft">Not read yet: {{ unreadWords }}.</p>
      <p v-if="waited" role="status">Noted. The plan waits here; read again when it has changed.</p>
    </section>
    <TextField
      v-if="stops.length > 0"
      label="Why it goes out all the same; it stands on the record"
      :text="reason"
      :maxlength="2000"
      @change="reason = $event"
    />
    <p class="soft small">
      The label is the law; this page replaces neither it nor a licence nor local rules.
    </p>
  </RunFrame>
</template>

<style scoped>
.from {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 16px;
  padding-bottom: 8px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px;
}
.asked {
  padding-top: 6px;
}
.asked > * {
  padding: 8px 0;
  border-bottom: var(--rule-width) solid var(--rule);
}
.asked :deep(fieldset) {
  display: flex;
  flex-wrap: nowrap;
  align-items: center;
  gap: 4px 22px;
  min-height: 48px;
}
.asked :deep(legend) {
  float: left;
  flex: 1 1 auto;
  min-width: 0;
  font-size: 17px;
  color: var(--ink);
  margin: 0;
}
</style>
