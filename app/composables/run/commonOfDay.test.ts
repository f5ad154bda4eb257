import { beforeEach, expect, test, vi } from 'vitest'
import type { CommonStop } from '#core/run/common/commonStop'
import { planApplication } from '#core/plan/planApplication'
import { quantity } from '#core/quantity/quantity'
import type { RunEvent } from '#core/run/runEvent'
import { withVue } from '../../../test/support/vueGlobals'
import { leftBefore } from './commonOfDay'

/** What this device keeps, by its key. */
const kept = vi.hoisted(() => new Map<string, unknown>())
vi.mock('idb-keyval', () => ({
  createStore: () => undefined,
  get: (key: string) => Promise.resolve(kept.get(key)),
}))

let asked: string[] = []
let answer: () => Promise<unknown>
beforeEach(() => {
  asked = []
  withVue({
    crewUrl: (path: string) => path,
    useCrewStore: () => ({ organization: { id: 'crew' } }),
    $fetch: (path: string) => {
      asked.push(path)
      return answer()
    },
  })
})

const request = {
  areas: [{ id: 'a', size: quantity(7000, 'ft2') }],
  products: [{ id: 'p', rate: quantity(3.4, 'fl oz/1000 ft2') }],
  method: {
    kind: 'spray',
    carrier: quantity(1.3, 'gal/1000 ft2'),
    tank: quantity(26, 'gal'),
    loads: 'equal',
  },
} as const
const plan = planApplication(request)
const frozen = { request, plan: plan.ok && plan.value, labels: [] }
const stamp = (n: number) => ({
  id: `e${n}`,
  deviceId: 'd',
  sequence: n,
  counter: n,
  at: '2026-05-06T12:00:00.000Z',
})
/** A run from its plan to what was left. */
const runLeft = (gallons: number): readonly RunEvent[] =>
  [
    { ...stamp(1), kind: 'planned', payload: frozen },
    { ...stamp(2), kind: 'started', payload: {} },
    {
      ...stamp(3),
      kind: 'used',
      payload: {
        treated: quantity(7000, 'ft2'),
        putIn: [{ productId: 'p', amount: quantity(34, 'fl oz') }],
        made: quantity(13, 'gal'),
        left: quantity(gallons, 'gal'),
      },
    },
  ] as unknown as readonly RunEvent[]
const stop = (from?: string) =>
  ({ ...(from && { from: { applicationId: from, site: 'Elm House' } }) }) as unknown as CommonStop

test('what the site before has on record is offered; before that nobody knows', async () => {
  answer = async () => ({ events: runLeft(5.5) })
  expect(await leftBefore(stop('first'))).toEqual({ value: 5.5, unit: 'gal' })
  expect(asked).toEqual(['/applications/first/events'])
  answer = async () => ({ events: runLeft(5.5).slice(0, 2) })
  expect(await leftBefore(stop('first'))).toBeUndefined()
  answer = () => Promise.reject(new Error('no network'))
  expect(await leftBefore(stop('first'))).toBeUndefined()
})

test('without a network it is what this device wrote down and could not send yet', async () => {
  answer = () => Promise.reject(new Error('no network'))
  kept.set('crew:here', { frozen, events: runLeft(4.2).map((event) => ({ event, state: 'waiting' })) })
  expect(await leftBefore(stop('here'))).toEqual({ value: 4.2, unit: 'gal' })
})

test('the first site asks for nothing', async () => {
  expect(await leftBefore(stop())).toBeUndefined()
  expect(asked).toEqual([])
})
