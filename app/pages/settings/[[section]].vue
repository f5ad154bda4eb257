<script setup lang="ts">
import type { LocalRule, MixNote } from '#core/rules/localRule'
import { SYSTEM_UNITS, UNIT_SYSTEMS } from '#core/quantity/systems'
import { parseNumber } from '#core/quantity/parseNumber'
import type { Organization, SaveOrganization, Settings } from '#shared/schemas/organization'

/** What a crew settles once: name, licence, clock, currency, house rules. It saves itself as it is typed. */
useHead({ title: 'Settings · Hectarum' })
const crew = useCrewStore()
const own = useSelfStore()
/** The one that is set may be an older name, which a browser does not list. */
const zones = computed(() => [
  ...new Set([crew.organization?.timeZone ?? '', ...Intl.supportedValuesOf('timeZone')].filter(Boolean)),
])

interface Entries {
  readonly version: number
  readonly name: string
  readonly licence: string
  readonly units: Organization['units']
  readonly timeZone: string
  readonly currency: string
  readonly poisonCentre: string
  readonly notes: string
  readonly calibrationDays: string
  readonly good: string
  readonly acceptable: string
  readonly margin: string
  readonly groupRun: string
  readonly local: readonly LocalRule[]
  readonly mixes: readonly MixNote[]
}
const percent = (share: number) => String(Math.round(share * 1000) / 10)
function entriesOf({
  version,
  name,
  licence,
  units,
  timeZone,
  settings: { currency, poisonCentre, notes, house, local, mixes },
}: Organization): Entries {
  return {
    version,
    name,
    licence,
    units,
    timeZone,
    currency,
    poisonCentre,
    notes,
    calibrationDays: String(house.calibrationDays),
    good: percent(house.good),
    acceptable: percent(house.acceptable),
    margin: percent(house.repeatMargin),
    groupRun: String(house.groupRun),
    local,
    mixes,
  }
}

const HOUSE = [
  ['calibrationDays', 'A calibration is trusted for, days'],
  ['good', 'Actual rate is good within, %'],
  ['acceptable', 'acceptable within, %'],
  ['margin', 'Repeats are planned early by, % of the interval'],
  ['groupRun', 'Applications in a row of one mode-of-action group'],
] as const

/** What is sent, or which figure cannot be yet: what is typed stays on this device meanwhile. */
function bodyOf(entries: Entries): SaveOrganization | string {
  const figures = new Map(HOUSE.map(([name]) => [name, parseNumber(entries[name])]))
  const unread = HOUSE.find(([name]) => !figures.get(name)?.ok)
  if (unread) return `${unread[1]}: a number is wanted, not “${entries[unread[0]]}”.`
  const figure = (name: (typeof HOUSE)[number][0]) => {
    const read = figures.get(name)
    return read?.ok ? read.value : Number.NaN
  }
  const house: Settings['house'] = {
    calibrationDays: figure('calibrationDays'),
    good: figure('good') / 100,
    acceptable: figure('acceptable') / 100,
    repeatMargin: figure('margin') / 100,
    groupRun: figure('groupRun'),
  }
  const { version, name, licence, units, timeZone, currency, poisonCentre, notes, local, mixes } = entries
  return {
    version,
    name,
    licence,
    units,
    timeZone,
    settings: {
      currency: currency.toUpperCase(),
      poisonCentre,
      notes,
      local: [...local],
      mixes: [...mixes],
      house,
    },
  }
}
const { draft, stored, saveState, loadProblem, load, change, save, keepMine, takeTheirs } = useDraft<
  Organization,
  Entries
>({
  id: 'settings',
  url: crewUrl('/settings'),
  what: 'page of settings',
  draftOf: entriesOf,
  bodyOf,
})
await load()
// What is saved here holds at once for what else is open on this page.
watch(stored, (organization) => {
  if (organization) crew.take(organization)
})
const route = useRoute()
const section = computed(() => String(route.params.section ?? ''))
const ownCrew = computed(() => crew.organization?.kind === 'own' && own.may('govern'))
const sections = computed(() =>
  [
    { label: 'Crew', to: '/settings', icon: 'i-lucide-users-round' },
    { label: 'House rules', to: '/settings/house', icon: 'i-lucide-ruler' },
    { label: 'Local rules', to: '/settings/local', icon: 'i-lucide-landmark' },
    { label: 'Jar tests', to: '/settings/jar-tests', icon: 'i-lucide-flask-conical' },
    { label: 'People', to: '/settings/people', icon: 'i-lucide-id-card' },
    { label: 'Calendars', to: '/settings/calendars', icon: 'i-lucide-calendar-sync' },
    ...(ownCrew.value ? [{ label: 'All data', to: '/settings/data', icon: 'i-lucide-archive' }] : []),
  ].map((item) => ({ ...item, active: route.path === item.to })),
)
useScreenCommands(() => [{ id: 'save', label: 'Save the settings now', key: 'ctrl+enter', run: save }])
</script>

<template>
  <main class="page">
    <header class="flex flex-wrap items-baseline gap-x-4">
      <h1>Settings</h1>
      <SaveMark :state="saveState" />
      <HistoryFold v-if="crew.organization" :row-id="crew.organization.id" />
    </header>
    <p v-if="!own.may('govern')" class="mt-2">Owners of the crew change these.</p>
    <p v-if="loadProblem" role="alert">{{ loadProblem }}</p>
    <LazyConflictBar
      v-if="draft && saveState.kind === 'conflict'"
      what="page of settings"
      :mine="draft"
      :theirs="entriesOf(saveState.theirs)"
      class="mt-2"
      @keep="keepMine"
      @take="takeTheirs"
    />
    <UNavigationMenu
      class="mt-1 overflow-x-auto border-b border-(--rule)"
      orientation="horizontal"
      variant="link"
      highlight
      aria-label="Sections of the settings"
      :items="sections"
      :ui="{ item: 'flex-none', linkLabel: 'overflow-visible' }"
    />
    <form
      v-if="draft"
      class="mt-4"
      :class="section === 'local' ? 'max-w-6xl' : 'max-w-4xl'"
      @submit.prevent="save"
    >
      <fieldset :disabled="!own.may('govern')" class="space-y-5">
        <section v-if="section === ''" class="grid gap-3 sm:grid-cols-2" aria-label="The crew">
          <TextField
            label="Name of the crew"
            :text="draft.name"
            :maxlength="120"
            :locked="!own.may('govern')"
            @change="change({ name: $event })"
          />
          <TextField
            label="Licence number, as on records"
            :text="draft.licence"
            :maxlength="200"
            :locked="!own.may('govern')"
            @change="change({ licence: $event })"
          />
          <ChoiceField
            label="Units to begin with"
            :value="draft.units"
            :choices="UNIT_SYSTEMS.map((value) => ({ value, text: SYSTEM_UNITS[value].name }))"
            :locked="!own.may('govern')"
            @change="change({ units: $event })"
          />
          <LabelledField label="Time zone">
            <UInputMenu
              :model-value="draft.timeZone"
              :items="zones"
              virtualize
              :disabled="!own.may('govern')"
              class="w-full"
              @update:model-value="change({ timeZone: $event })"
            />
          </LabelledField>
          <TextField
            label="Currency, three letters"
            :text="draft.currency"
            :maxlength="3"
            :locked="!own.may('govern')"
            @change="change({ currency: $event })"
          />
          <TextField
            label="Poison centre or emergency line"
            :text="draft.poisonCentre"
            :maxlength="200"
            :locked="!own.may('govern')"
            @change="change({ poisonCentre: $event })"
          />
        </section>
        <section v-else-if="section === 'house'" aria-labelledby="house-title">
          <h2 id="house-title">House rules</h2>
          <p class="soft small">The label and local rules stand above these.</p>
          <div class="mt-2 grid gap-3 sm:grid-cols-2">
            <TextField
              v-for="[name, label] in HOUSE"
              :key="name"
              :label="label"
              :text="draft[name]"
              :maxlength="8"
              :locked="!own.may('govern')"
              inputmode="decimal"
              @change="change({ [name]: $event })"
            />
          </div>
        </section>
        <LocalRules
          v-else-if="section === 'local'"
          :model-value="draft.local"
          @update:model-value="change({ local: $event })"
        />
        <MixNotes
          v-else-if="section === 'jar-tests'"
          :model-value="draft.mixes"
          @update:model-value="change({ mixes: $event })"
        />
      </fieldset>
    </form>
    <PeopleSection v-if="section === 'people'" class="max-w-4xl" />
    <CalendarAddresses v-if="section === 'calendars'" class="max-w-4xl" />
    <WholeCrew v-if="section === 'data' && ownCrew" class="max-w-4xl" />
  </main>
</template>
