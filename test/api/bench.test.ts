import Papa from 'papaparse'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { readCalibrationRows } from '../../core/calibration/calibrationRows'
import { readLine } from '../../core/devices/deviceLine'
import { SAMPLE_EQUIPMENT } from '../../demo/sampleLinks'
import type { CalibrationFile } from '../../shared/schemas/calibrationFile'
import type { Calibration } from '../../shared/schemas/equipment'
import { clientOf, type Client } from '../support/client'
import { aSprayer, aSpreader } from '../support/rows'
import { serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
let sample: Client
let client: Client
beforeAll(async () => {
  served = await serve()
  sample = clientOf(served.url)
  client = clientOf(served.url)
  await client.post('/api/organizations', { id: uuid(), name: 'A crew of one', units: 'us-1000' })
})
afterAll(() => served.stop())

async function machine(body: object) {
  const id = uuid()
  await client.put(`/crew/library/equipment/${id}`, body)
  return id
}
const kept = async (id: string) =>
  (await client.get(`/crew/library/calibrations?equipmentId=${id}`)).body as readonly Calibration[]

test('calibrations go out as a file and into another crew: whole, once, worked out anew', async () => {
  const file = (await sample.get(`/crew/equipment/${SAMPLE_EQUIPMENT.tow}/calibrations?format=json`))
    .body as CalibrationFile
  expect(file).toMatchObject({ format: 'calibrations', machine: '26 gal tow boom' })
  const own = file.calibrations.map(({ document }) => ({ id: uuid(), document }))
  const id = await machine(aSprayer('Their boom'))
  expect((await client.post(`/crew/equipment/${id}/calibrations`, { calibrations: own })).body).toEqual({
    added: own.length,
    kept: 0,
  })
  expect((await client.post(`/crew/equipment/${id}/calibrations`, { calibrations: own })).body).toEqual({
    added: 0,
    kept: own.length,
  })
  // The seven nozzles of the sample: 139.5 fl oz in 30 s over 140 in at 3.1 mph.
  const caught = (await kept(id)).find(({ document }) => document.course.by === 'nozzle catch')
  expect(
    (caught?.perPass ?? 0) / ((139.5 * 2.95735295625e-5) / 30 / (140 * 0.0254 * ((132 * 0.3048) / 29.03))),
    'flow over width and speed',
  ).toBeCloseTo(1, 2)
  const spreader = await machine(aSpreader('A spreader'))
  expect(
    (
      await client.post(`/crew/equipment/${spreader}/calibrations`, {
        calibrations: [...own.slice(0, 2)].map(({ document }) => ({ id: uuid(), document })),
      })
    ).status,
  ).toBe(400)
  expect(await kept(spreader)).toEqual([])
})

test('the table reads back as the same calibrations', async () => {
  const text = await (
    await fetch(await sample.address(`/crew/equipment/${SAMPLE_EQUIPMENT.push}/calibrations?format=csv`))
  ).text()
  const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true })
  const { calibrations, problems } = readCalibrationRows(data, uuid)
  expect(problems).toEqual([])
  const stored = (await sample.get(`/crew/library/calibrations?equipmentId=${SAMPLE_EQUIPMENT.push}`))
    .body as readonly Calibration[]
  expect(calibrations.map(({ id }) => id).toSorted()).toEqual(stored.map(({ id }) => id).toSorted())
  expect(data.find(({ setting, day }) => setting === '12' && day === '2026-04-21')?.one_pass).toMatch(
    /^8\.\d+ g\/m2$/,
  )
})

/** Lines of an instrument for a while, as its stream brings them. */
async function listen(address: string, forMs: number): Promise<readonly string[]> {
  const stop = AbortSignal.timeout(forMs)
  let text = ''
  try {
    const answer = await fetch(served.url + address, { signal: stop })
    for await (const piece of answer.body ?? []) text += new TextDecoder().decode(piece as Uint8Array)
  } catch {
    // Listening long enough ends it.
  }
  return text.split('\n').slice(0, -1)
}

test('a scale settles on what the hidden spreader left in the hopper', async () => {
  const acts = encodeURIComponent(
    JSON.stringify([
      { act: 'charge', amount: 3 },
      { act: 'spread', setting: 10, length: 15, speed: 1.34 },
    ]),
  )
  const good = (await listen(`/api/devices/kitchen-scale/lines?seed=5&acts=${acts}`, 3000)).map(readLine)
  expect(good.every(({ ok }) => ok)).toBe(true)
  const last = good.at(-1)
  expect(last?.ok && last.value.state).toBe('steady')
  expect(last?.ok && last.value.value).toBeLessThan(3000)
  const bad = (await listen(`/api/devices/kitchen-scale/lines?seed=5&cable=bad&acts=${acts}`, 20_000)).map(
    readLine,
  )
  expect(bad.filter(({ ok }) => !ok).length).toBeGreaterThan(2)
  expect(bad.length).toBe(25)
  expect((await sample.get('/api/devices/kitchen-scale/lines?acts=nonsense')).status).toBe(400)
  expect((await sample.get('/api/devices/toaster/lines')).status).toBe(404)
})
