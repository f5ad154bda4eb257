import { beforeEach, expect, test } from 'vitest'
import { computed, ref, type Ref } from 'vue'
import { blankGate, type GateReadings } from '#core/run/gate/gateReadings'
import { limitsWithoutLabels, type ConditionLimits } from '#core/conditions/conditionLimits'
import { NO_PROGRESS } from '#core/run/progress'
import type { SiteHours } from '#shared/schemas/weather'
import { withVue } from '../../../test/support/vueGlobals'
import { useGate } from './useGate'

const UNITS = { speed: 'mph', temperature: '°F', depth: 'in' } as const
/** Spraying stops above 10 mph. */
let limits: ConditionLimits
let gates: { readings: GateReadings }[] = []
/** The forecast of the station: what is asked of it, hour by hour. */
let hours: SiteHours | undefined
let siteId: string | null = 'site'

beforeEach(() => {
  limits = { ...limitsWithoutLabels({ method: 'spray', fate: undefined }, 'us-1000'), windMost: 4.4704 }
  gates = []
  hours = undefined
  siteId = 'site'
  withVue({
    useCrewStore: () => ({
      units: 'us-1000',
      temperatureUnit: '°F',
      now: () => '2026-05-06T13:00:00.000Z',
      today: () => '2026-05-06',
      organization: { timeZone: 'UTC' },
    }),
    crewUrl: (path: string) => path,
    $fetch: async () => {
      if (!hours) throw new Error('no station')
      return hours
    },
    useTyped: <T>(_: string, initial: T): Ref<T> => ref(initial) as Ref<T>,
    useRunScreen: () => ({
      frozen: computed(() => ({ limits })),
      progress: computed(() => ({ ...NO_PROGRESS, gates })),
      document: computed(() => ({ method: 'spray' })),
      siteId,
    }),
  })
})

const wind = (text: string): Partial<GateReadings> => ({ wind: { text, unit: 'mph' } })

test('what was not read is told, and keeps nobody from going', () => {
  const gate = useGate()
  expect(gate.summary.value).toMatch(/not read$/)
  expect(gate.worst.value).toBe('open')
  expect(gate.held.value).toBe(false)
})

test('a reading that cannot be read holds the gate, with what would be right', () => {
  const gate = useGate()
  gate.take(wind('windy'))
  expect(gate.held.value).toBe(true)
  expect(gate.worst.value).toBe('stop')
  expect(gate.summary.value).toMatch(/number/i)
})

test('against a stop one goes with a reason only, and the reason stands on the entry', () => {
  const gate = useGate()
  gate.take(wind('14'))
  expect(gate.stops.value.map(({ subject }) => subject)).toEqual(['wind'])
  expect(gate.summary.value).toContain('a reason is needed')
  expect(gate.held.value).toBe(true)
  gate.reason.value = '  sheltered court '
  expect(gate.held.value).toBe(false)
  expect(gate.entry('go')).toMatchObject({
    kind: 'gate',
    payload: { decision: 'go', reason: 'sheltered court', findings: [{ subject: 'wind', level: 'stop' }] },
  })
  // Nothing stops any more: the reason of before is none of this entry.
  gate.take(wind('5'))
  expect(gate.entry('go')).toMatchObject({ payload: { reason: '' } })
})

test('what was read before stands there again; a station writes over no reading of a hand', async () => {
  gates = [{ readings: { ...blankGate(UNITS), ...wind('7') } }]
  hours = { station: 'Roof', hours: [] } as unknown as SiteHours
  const gate = useGate()
  await gate.openStation()
  expect(gate.readings.value.wind.text).toBe('7')
  expect(gate.station.value).toBe('Roof')
})

test('a site without a station, or one that does not answer, is read by hand', async () => {
  const away = useGate()
  await away.openStation()
  expect(away.station.value).toBe('')
  siteId = null
  hours = { station: 'Roof', hours: [] } as unknown as SiteHours
  const nowhere = useGate()
  await nowhere.openStation()
  expect(nowhere.station.value).toBe('')
})
