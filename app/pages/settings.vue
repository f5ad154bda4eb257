<script setup lang="ts">
import type { LocalRule, MixNote } from '#core/rules/localRule'
import { SYSTEM_UNITS, UNIT_SYSTEMS } from '#core/quantity/systems'
import type { Organization, SaveOrganization } from '#shared/schemas/organization'

/** What a crew settles once: name, licence, clock, currency, house rules. */
useHead({ title: 'Settings · Hectarum' })
const crew = useCrewStore()
const notice = useNotice()
const problem = ref<string>()
const zones = Intl.supportedValuesOf('timeZone')

interface Entries {
  name: string
  licence: string
  units: Organization['units']
  timeZone: string
  currency: string
  poisonCentre: string
  calibrationDays: string
  good: string
  acceptable: string
  margin: string
  groupRun: string
  local: readonly LocalRule[]
  mixes: readonly MixNote[]
}
const percent = (share: number) => String(Math.round(share * 1000) / 10)
function entriesOf({
  name,
  licence,
  units,
  timeZone,
  settings: { currency, poisonCentre, house, local, mixes },
}: Organization): Entries {
  return {
    name,
    licence,
    units,
    timeZone,
    currency,
    poisonCentre,
    calibrationDays: String(house.calibrationDays),
    good: percent(house.good),
    acceptable: percent(house.acceptable),
    margin: percent(house.repeatMargin),
    groupRun: String(house.groupRun),
    local,
    mixes,
  }
}
const entries = ref<Entries>()
watch(
  () => crew.organization,
  (organization) => {
    if (organization) entries.value = entriesOf(organization)
  },
  { immediate: true },
)

async function save() {
  const { organization } = crew
  if (!organization || !entries.value) return
  const {
    name,
    licence,
    units,
    timeZone,
    currency,
    poisonCentre,
    calibrationDays,
    good,
    acceptable,
    margin,
    groupRun,
    local,
    mixes,
  } = entries.value
  const body: SaveOrganization = {
    version: organization.version,
    name,
    licence,
    units,
    timeZone,
    settings: {
      ...organization.settings,
      currency: currency.toUpperCase(),
      poisonCentre,
      local,
      mixes,
      house: {
        calibrationDays: Number(calibrationDays),
        good: Number(good) / 100,
        acceptable: Number(acceptable) / 100,
        repeatMargin: Number(margin) / 100,
        groupRun: Number(groupRun),
      },
    },
  }
  try {
    await $fetch('/api/organizations/settings', { method: 'PUT', body })
    problem.value = undefined
    await crew.load()
    notice.say('Settings saved.')
  } catch (error) {
    problem.value = errorText(error)
    if (errorCode(error) === 'changed-elsewhere') await crew.load()
  }
}
const HOUSE = [
  ['calibrationDays', 'A calibration is trusted for, days'],
  ['good', 'Actual rate is good within, %'],
  ['acceptable', 'acceptable within, %'],
  ['margin', 'Repeats are planned early by, % of the interval'],
  ['groupRun', 'Applications in a row of one mode-of-action group'],
] as const
useScreenCommands(() => [{ id: 'save', label: 'Save the settings', key: 'ctrl+enter', run: save }])
</script>

<template>
  <main class="page">
    <h1>Settings</h1>
    <form v-if="entries" class="mt-3 max-w-4xl space-y-5" @submit.prevent="save">
      <section class="grid gap-3 sm:grid-cols-2" aria-label="The crew">
        <LabelledField v-slot="{ id }" label="Name of the crew"
          ><input :id="id" v-model="entries.name" class="field" maxlength="120"
        /></LabelledField>
        <LabelledField v-slot="{ id }" label="Licence number, as on records"
          ><input :id="id" v-model="entries.licence" class="field" maxlength="200"
        /></LabelledField>
        <LabelledField v-slot="{ id }" label="Units to begin with"
          ><select :id="id" v-model="entries.units" class="field">
            <option v-for="system in UNIT_SYSTEMS" :key="system" :value="system">
              {{ SYSTEM_UNITS[system].name }}
            </option>
          </select></LabelledField
        >
        <LabelledField v-slot="{ id }" label="Time zone"
          ><select :id="id" v-model="entries.timeZone" class="field">
            <option v-for="zone in zones" :key="zone">{{ zone }}</option>
          </select></LabelledField
        >
        <LabelledField v-slot="{ id }" label="Currency, three letters"
          ><input :id="id" v-model="entries.currency" class="field" maxlength="3"
        /></LabelledField>
        <LabelledField v-slot="{ id }" label="Poison centre or emergency line"
          ><input :id="id" v-model="entries.poisonCentre" class="field" maxlength="200"
        /></LabelledField>
      </section>
      <section aria-labelledby="house-title">
        <h2 id="house-title">House rules</h2>
        <p class="soft small">The label and local rules stand above these.</p>
        <div class="mt-2 grid gap-3 sm:grid-cols-2">
          <LabelledField v-for="[name, label] in HOUSE" :key="name" v-slot="{ id }" :label="label"
            ><input :id="id" v-model="entries[name]" class="field" inputmode="decimal" maxlength="8"
          /></LabelledField>
        </div>
      </section>
      <LocalRules v-model="entries.local" />
      <MixNotes v-model="entries.mixes" />
      <p v-if="problem" class="small" style="color: var(--stop)" role="alert">{{ problem }}</p>
      <UButton type="submit" label="Save" color="primary" variant="solid" aria-keyshortcuts="Control+Enter" />
    </form>
  </main>
</template>
