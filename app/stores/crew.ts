import { temperatureUnitOf } from '#core/quantity/toldTemperature'
import { defineStore } from 'pinia'
import type { UnitSystem } from '#core/quantity/systems'
import { UNIT_SYSTEMS } from '#core/quantity/systems'
import { withJarTests, type JarTest } from '#core/rules/localRule'
import { useLocalStorage } from '@vueuse/core'
import { v7 as uuid } from 'uuid'
import type { Organization, OrganizationChoice } from '#shared/schemas/organization'

/** The crew in hand, its clock, and the units this screen reads in. */
export const useCrewStore = defineStore('crew', () => {
  const choice = ref<OrganizationChoice>()
  const problem = ref<string>()
  const chosenUnits = useLocalStorage<UnitSystem | ''>('hectarum-units', '')
  const organization = computed(() => choice.value?.current)
  const units = computed<UnitSystem>(() => chosenUnits.value || organization.value?.units || 'us-1000')
  const temperatureUnit = computed(() => temperatureUnitOf(units.value))

  async function load() {
    try {
      choice.value = await ask(questions.organizations())
      problem.value = undefined
    } catch (error) {
      problem.value = errorText(error)
    }
  }

  /** Nobody is signed in any more: nothing of the crew stays on the screen. */
  function leave() {
    choice.value = undefined
  }

  /** The organization as it was just stored. */
  function take(organization: Organization) {
    if (choice.value) choice.value = { ...choice.value, current: organization }
  }

  async function change(id: string) {
    await tell('PUT', '/api/organizations/current', { id })
    await load()
  }

  /** @param timeZone the clock it goes by */
  async function start(name: string, timeZone: string) {
    const made = await tell<Organization>('POST', '/api/organizations', {
      id: uuid(),
      name,
      units: units.value,
      timeZone,
    })
    await load()
    return made
  }

  /** Writes down what the crew found of pairs of products; over a change made elsewhere in between, once. */
  async function noteMixes(
    found: readonly JarTest[],
    again: 'once more' | 'no more' = 'once more',
  ): Promise<void> {
    const current = organization.value
    if (!current) return
    try {
      await tell('PUT', '/mixes', {
        version: current.version,
        mixes: withJarTests(current.settings.mixes, found, uuid),
      })
    } catch (error) {
      if (errorCode(error) !== 'changed-elsewhere' || again === 'no more') throw error
      await load()
      return noteMixes(found, 'no more')
    }
    await load()
  }

  const setUnits = (system: UnitSystem) => {
    chosenUnits.value = system
  }
  const nextUnits = () => {
    chosenUnits.value =
      UNIT_SYSTEMS[(UNIT_SYSTEMS.indexOf(units.value) + 1) % UNIT_SYSTEMS.length] ?? 'us-1000'
  }
  /** The crew's own now, ISO; the sample's clock is shifted. */
  const now = () => new Date(Date.now() + (organization.value?.clockShift ?? 0)).toISOString()
  const today = () => calendarDay(now(), organization.value?.timeZone)

  return {
    choice,
    problem,
    organization,
    units,
    temperatureUnit,
    load,
    leave,
    take,
    change,
    start,
    noteMixes,
    setUnits,
    nextUnits,
    now,
    today,
  }
})
