import { v7 as uuid } from 'uuid'
import * as v from 'valibot'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { JobFileSchema, type Job, type JobFile } from '../../shared/schemas/job'
import type { Plan } from '../../core/plan/plan'
import type { Run } from '../../shared/schemas/run'
import { clientOf, type Client } from '../support/client'
import { stamp } from '../support/jobs'
import { serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
let sample: Client
let other: Client
beforeAll(async () => {
  served = await serve()
  sample = clientOf(served.url)
  other = clientOf(served.url)
  await other.post('/api/organizations', { id: uuid(), name: 'Another crew', units: 'us-1000' })
})
afterAll(() => served.stop())

const codeOf = (body: unknown) => (body as { error: { code: string } }).error.code
const DAY = '/crew/days/2026-05-07'
const sitesOf = (body: unknown) => (body as readonly Job[]).map(({ site }) => site)

test('a day stands in the order it was given', async () => {
  const before = (await sample.get(DAY)).body as readonly Job[]
  expect(before).toHaveLength(3)
  const order = before.map(({ id }) => id).toReversed()
  expect(sitesOf((await sample.put(DAY, { order })).body)).toEqual(sitesOf(before).toReversed())
  expect(sitesOf((await sample.put(DAY, { order })).body)).toEqual(sitesOf(before).toReversed())
  const stale = await sample.put(DAY, { order: order.slice(1) })
  expect([stale.status, codeOf(stale.body)]).toEqual([409, 'changed-elsewhere'])
  expect((await sample.put(DAY, { order: [order[0], order[0], order[1]] })).status).toBe(400)
  expect(sitesOf((await sample.get(DAY)).body)).toEqual(sitesOf(before).toReversed())
  // Putting a day in order is no edit of its jobs: whoever has one open saves over the version they read.
  expect(((await sample.get(`/crew/jobs/${before[0]?.id}`)).body as Job).version).toBe(before[0]?.version)
  for (const nowhere of ['/crew/days/2026-02-31', '/crew/days/tomorrow'])
    expect((await sample.get(nowhere)).status).toBe(404)
})

test('a run freezes its part in the mix of its day, and takes what the tank really held', async () => {
  const jobs = ((await sample.get(DAY)).body as readonly Job[]).filter(({ applications }) =>
    applications.some(({ document }) => document.spray.shared === 'day'),
  )
  const begin = (id: string, ...more: readonly object[]) =>
    sample.post(`/crew/applications/${id}/events`, {
      events: [{ kind: 'planned' }, { kind: 'started' }, ...more].map((event, i) => ({
        ...stamp(i + 1, device),
        ...event,
      })),
    })
  const device = uuid()
  const [first, second] = jobs.map(({ applications }) => applications[0]!.id)
  const commonOf = (body: unknown) => (body as Run).record!.frozen.common!
  const one = commonOf((await begin(first!)).body)
  expect(one).toMatchObject({ arrives: { value: 0 }, to: { applicationId: second } })
  expect(one.from).toBeUndefined()
  expect(one.makes.length).toBeGreaterThan(0)
  const refused = await begin(second!, { kind: 'tank', payload: { found: { value: -1, unit: 'gal' } } })
  expect(refused.status).toBe(400)
  const run = (await begin(second!, { kind: 'tank', payload: { found: { value: 5.5, unit: 'gal' } } })).body
  const other = commonOf(run)
  expect(other).toMatchObject({ from: { applicationId: first }, arrives: one.leaves })
  // What one makes and takes is what the other finds and takes, to the dead volume.
  expect(one.leaves.value).toBeCloseTo(other.takes.value + other.leaves.value, 9)
  expect((run as Run).record!.progress.tank).toEqual({ found: { value: 5.5, unit: 'gal' } })
  // Products are told by the ids of the run's own plan.
  const own = (run as Run).record!.frozen.request.products.map(({ id }) => id)
  expect(other.holds.map(({ productId }) => productId).toSorted()).toEqual(own.toSorted())
})

test('another crew sees an empty day and orders nobody else’s jobs', async () => {
  expect((await other.get(DAY)).body).toEqual([])
  const theirs = ((await sample.get(DAY)).body as readonly Job[]).map(({ id }) => id)
  expect((await other.put(DAY, { order: theirs.toReversed() })).status).toBe(409)
  expect(((await sample.get(DAY)).body as readonly Job[]).map(({ id }) => id)).toEqual(theirs)
})

test('a job goes out as a file that its own schema takes in again, figures and all', async () => {
  const [job] = (await sample.get(DAY)).body as readonly Job[]
  const file = (await sample.get(`/crew/jobs/${job?.id}/file`)).body as JobFile
  const read = v.parse(JobFileSchema, file)
  expect(read.applications.map(({ document }) => document)).toEqual(
    job?.applications.map(({ document }) => document),
  )
  expect((file.applications[0]?.plan as Plan).totals.products.length).toBeGreaterThan(0)
})

test('the plan takes rates of single areas and loads that end with them', async () => {
  const request = (rates: unknown, loads = 'by-area') => ({
    areas: [
      { id: 'a', size: { value: 10_000, unit: 'ft2' } },
      { id: 'b', size: { value: 5000, unit: 'ft2' }, ...(rates !== undefined && { rates }) },
    ],
    products: [{ id: 'p', rate: { value: 3, unit: 'fl oz/1000 ft2' } }],
    method: {
      kind: 'spray',
      carrier: { value: 1, unit: 'gal/1000 ft2' },
      tank: { value: 26, unit: 'gal' },
      loads,
    },
  })
  const planned = (
    await sample.post('/api/plan', request([{ id: 'p', rate: { value: 1.5, unit: 'fl oz/1000 ft2' } }]))
  ).body as Plan
  expect(planned.totals.products[0]?.amount.value).toBeCloseTo(37.5, 9)
  expect(planned.loads.map(({ areas, carrier }) => [areas, carrier.value])).toEqual([
    [['a'], expect.closeTo(10, 9)],
    [['b'], expect.closeTo(5, 9)],
  ])
  expect(planned.rates?.map(({ areas }) => areas)).toEqual([['a'], ['b']])
  expect(planned.working.find(({ figure }) => figure === 'products.p.amount')?.lines.at(-1)).toBe(
    'all rates together = 37.5 fl oz',
  )
  const alike = (await sample.post('/api/plan', request(undefined))).body as Plan
  expect([alike.rates, alike.loads.length, alike.loads[0]?.areas]).toEqual([undefined, 1, ['a', 'b']])
  expect(
    ((await sample.post('/api/plan', request(undefined, 'equal'))).body as Plan).loads[0],
  ).not.toHaveProperty('areas')
  expect(
    (await sample.post('/api/plan', request([{ id: 'q', rate: { value: 1.5, unit: 'fl oz/1000 ft2' } }])))
      .status,
  ).toBe(400)
  expect(
    (
      await sample.post(
        '/api/plan',
        request([{ id: 'p', rate: { value: 1.5, unit: 'fl oz/1000 ft2' }, why: '' }]),
      )
    ).status,
  ).toBe(400)
  expect((await sample.post('/api/plan', request(undefined, 'by-lawn'))).status).toBe(400)
})
