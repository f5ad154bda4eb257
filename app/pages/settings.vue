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
const text = (event: Event) => (event.target as HTMLInputElement).value
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
    <ConflictBar
      v-if="draft && saveState.kind === 'conflict'"
      what="page of settings"
      :mine="draft"
      :theirs="entriesOf(saveState.theirs)"
      class="mt-2"
      @keep="keepMine"
      @take="takeTheirs"
    />
    <form v-if="draft" class="mt-3 max-w-4xl" @submit.prevent="save">
      <fieldset :disabled="!own.may('govern')" class="space-y-5">
        <section class="grid gap-3 sm:grid-cols-2" aria-label="The crew">
          <LabelledField v-slot="{ id }" label="Name of the crew"
            ><input
              :id="id"
              :value="draft.name"
              @input="change({ name: text($event) })"
              class="field"
              maxlength="120"
          /></LabelledField>
          <LabelledField v-slot="{ id }" label="Licence number, as on records"
            ><input
              :id="id"
              :value="draft.licence"
              @input="change({ licence: text($event) })"
              class="field"
              maxlength="200"
          /></LabelledField>
          <LabelledField v-slot="{ id }" label="Units to begin with"
            ><select
              :id="id"
              :value="draft.units"
              @change="change({ units: text($event) as Organization['units'] })"
              class="field"
            >
              <option v-for="system in UNIT_SYSTEMS" :key="system" :value="system">
                {{ SYSTEM_UNITS[system].name }}
              </option>
            </select></LabelledField
          >
          <LabelledField v-slot="{ id }" label="Time zone"
            ><select
              :id="id"
              :value="draft.timeZone"
              @change="change({ timeZone: text($event) })"
              class="field"
            >
              <option v-for="zone in zones" :key="zone">{{ zone }}</option>
            </select></LabelledField
          >
          <LabelledField v-slot="{ id }" label="Currency, three letters"
            ><input
              :id="id"
              :value="draft.currency"
              @input="change({ currency: text($event) })"
              class="field"
              maxlength="3"
          /></LabelledField>
          <LabelledField v-slot="{ id }" label="Poison centre or emergency line"
            ><input
              :id="id"
              :value="draft.poisonCentre"
              @input="change({ poisonCentre: text($event) })"
              class="field"
              maxlength="200"
          /></LabelledField>
        </section>
        <section aria-labelledby="house-title">
          <h2 id="house-title">House rules</h2>
          <p class="soft small">The label and local rules stand above these.</p>
          <div class="mt-2 grid gap-3 sm:grid-cols-2">
            <LabelledField v-for="[name, label] in HOUSE" :key="name" v-slot="{ id }" :label="label"
              ><input
                :id="id"
                :value="draft[name]"
                class="field"
                @input="change({ [name]: text($event) })"
                inputmode="decimal"
                maxlength="8"
            /></LabelledField>
          </div>
        </section>
        <LocalRules :model-value="draft.local" @update:model-value="change({ local: $event })" />
        <MixNotes :model-value="draft.mixes" @update:model-value="change({ mixes: $event })" />
      </fieldset>
    </form>
    <PeopleSection class="mt-8 max-w-4xl" />
    <WholeCrew v-if="crew.organization?.kind === 'own' && own.may('govern')" class="mt-8 max-w-4xl" />
  </main>
</template>
