import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { SAMPLE_AREAS } from '../../demo/sampleLinks'
import type { SeasonPage, SeasonPlace } from '../../shared/schemas/season'
import { clientOf, type Client } from '../support/client'
import { anArea, aProbe, aSite, aStation } from '../support/rows'
import { serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
let client: Client
beforeAll(async () => {
  served = await serve()
  client = clientOf(served.url)
})
afterAll(() => served.stop())
const seasonOf = async (areaId: string) =>
  (await client.get(`/crew/areas/${areaId}/season`)).body as SeasonPage

test('the sample: a regulator near its rebound, dollar spot over its limit, a barrier closing', async () => {
  const green = await seasonOf(SAMPLE_AREAS.bowlsGreen)
  expect(green.season.fit.readings).toBe(4)
  const [count] = green.season.regulators
  expect(count!.sum).toBeGreaterThan(180)
  expect(count!.sum).toBeLessThan(200)
  expect(green.next.map(({ what }) => what).slice(0, 2)).toEqual([
    'Growth regulator before the rebound',
    'Dollar spot, preventive',
  ])
  const shared = await seasonOf(SAMPLE_AREAS.green)
  expect(shared.season.windows).toContainEqual(
    expect.objectContaining({ name: 'second half', state: 'closing', closes: '2026-05-08' }),
  )
  const places = (await client.get('/crew/season')).body as readonly SeasonPlace[]
  expect(places.map(({ area }) => area)).not.toContain('Kerb and paving cracks')
  expect(places.length).toBeGreaterThan(5)
})

test('a crew of one’s own: no forecast over what was measured, a probe puts it right', async () => {
  await client.post('/api/organizations', { id: uuid(), name: 'New season', units: 'metric-100' })
  const [siteId, areaId, stationId] = [uuid(), uuid(), uuid()]
  await client.put(`/crew/library/sites/${siteId}`, aSite())
  await client.put(`/crew/library/areas/${areaId}`, anArea(siteId))
  const before = await seasonOf(areaId)
  expect(before).toMatchObject({ season: { soil: [] } })
  expect(before.station).toBeUndefined()
  expect(before.latitudeFrom).toBe('nowhere')
  await client.put(`/crew/library/stations/${stationId}`, aStation())
  const today = before.today
  const save = (least: number, forecast: boolean) =>
    client.post(`/crew/stations/${stationId}/days`, {
      days: [{ on: today, least, most: least + 10, forecast }],
    })
  expect((await save(1, true)).body).toEqual({ saved: 1 })
  await save(10, false)
  await save(3, true)
  const soil = async () => (await seasonOf(areaId)).season.soil.find(({ on }) => on === today)?.soil
  expect(await soil()).toBe(15)
  await save(12, false)
  expect(await soil()).toBe(17)
  const probe = aProbe(areaId, '68')
  await client.put(`/crew/library/probes/${uuid()}`, {
    ...probe,
    document: { ...probe.document, on: today },
  })
  expect(await soil()).toBeCloseTo(20, 9)
  expect((await seasonOf(areaId)).latitudeFrom).toBe('station')
})

test('days that can’t be are refused with what would be right', async () => {
  const stationId = uuid()
  await client.put(`/crew/library/stations/${stationId}`, aStation('Hill'))
  const day = { on: '2026-05-06', least: 4, most: 14, forecast: false }
  for (const days of [[{ ...day, most: 3 }], [{ ...day, most: 75 }], [day, day], [], [{ ...day, on: 'x' }]])
    expect((await client.post(`/crew/stations/${stationId}/days`, { days })).status).toBe(400)
  expect((await client.post(`/crew/stations/${uuid()}/days`, { days: [day] })).status).toBe(404)
})
