import Papa from 'papaparse'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { HeldByMachine } from '../../core/rules/reading'
import type { EarlierReading } from '../../shared/schemas/earlier'
import type { Equipment } from '../../shared/schemas/equipment'
import type { NewRunEvent, RecordPage, Run } from '../../shared/schemas/run'
import type { Use } from '../../shared/schemas/use'
import { clientOf, type Client } from '../support/client'
import { documentOf, newJob, runEvents, stamp } from '../support/jobs'
import { aSite } from '../support/rows'
import { query, serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
/** The sample crew, and one that has nothing yet. */
let sample: Client
let client: Client
beforeAll(async () => {
  served = await serve()
  sample = clientOf(served.url)
  client = clientOf(served.url)
  await client.post('/api/organizations', { id: uuid(), name: 'A crew of one', units: 'us-1000' })
})
afterAll(() => served.stop())

const codeOf = (body: unknown) => (body as { error: { code: string } }).error.code
const FEED = {
  finished: '6 May 2025',
  site: 'Elm House',
  lawns: 'Front',
  treated: '8,000 ft2',
  product: 'Spring feed',
  used: '28 lb',
  planned_rate: '3.4 lb/1000 ft2',
  done_by: 'R. Okafor',
}
const SPRAY = {
  record: 'r1',
  started: '2025-06-02 13:05',
  finished: '2025-06-02 14:30',
  site: 'Elm House',
  treated: '0.5 ac',
  product: 'Leaf spot cover',
  active: 'covril',
  used: '40 fl oz',
  carrier: '2 gal/1000 ft2',
  remarks: '=HYPERLINK("elsewhere")',
}
async function earlier(rows: readonly object[], take: 'look' | 'keep') {
  const answer = await client.post('/crew/records/earlier', { rows, firstLine: 2, take })
  expect(answer.status).toBe(200)
  return answer.body as EarlierReading
}

describe('records that were kept elsewhere', () => {
  test('are shown with their problems and nothing is stored; then taken in, once', async () => {
    const rows = [
      FEED,
      SPRAY,
      { ...SPRAY, product: 'Sticker', active: '', used: '4 fl oz' },
      { ...FEED, used: '' },
    ]
    const shown = await earlier(rows, 'look')
    expect(shown.records).toMatchObject([
      {
        line: 2,
        site: 'Elm House',
        products: 'Spring feed',
        state: 'new',
        unknown: ['Elm House', 'Spring feed'],
      },
      { line: 3, products: 'Leaf spot cover, Sticker', state: 'new' },
    ])
    expect(shown.problems).toMatchObject([{ line: 5, column: 'used' }])
    expect((await client.get('/crew/records')).body).toMatchObject({ rows: [] })
    expect(await earlier(rows, 'keep')).toMatchObject({ added: 2 })
    const again = await earlier(rows, 'keep')
    expect(again.added).toBe(0)
    expect(again.records.map(({ state }) => state)).toEqual(['here', 'here'])
    const { rows: records } = (await client.get('/crew/records')).body as RecordPage
    expect(records).toMatchObject([
      { products: 'Leaf spot cover, Sticker', verdict: 'unknown', deviations: [] },
      { products: 'Spring feed', only: 'day', by: 'R. Okafor' },
    ])
    // 28 lb over eight thousands is 3.5; against 3.4 that is 2.94 % over.
    expect(records[1]?.deviations[0]).toBeCloseTo(3.5 / 3.4 - 1, 9)
  })

  test('read as runs, with the times of their place, and in the ledger of their day', async () => {
    const { rows } = (await client.get('/crew/records')).body as RecordPage
    const run = (await client.get(`/crew/records/${rows[0]!.id}`)).body as Run
    // Five past one and half past two in a crew that counts in its zone.
    expect(Date.parse(run.record!.finishedAt!) - Date.parse(run.record!.startedAt!)).toBe(85 * 60_000)
    expect(run.record).toMatchObject({ state: 'done', frozen: { earlier: 'as used' } })
    const laid = await query(
      served.databaseUrl,
      'SELECT on_day::text AS on, amount FROM laid_down WHERE application_id = $1',
      [rows[1]!.id],
    )
    expect(laid.rows).toMatchObject([{ on: '2025-05-06', amount: expect.closeTo(28 * 0.45359237, 9) }])
  })

  test('a file of our own is taken in as it is: the records are here already', async () => {
    const file = (await client.get('/crew/records/export?format=csv')).body as string
    // What a spreadsheet would run is text.
    expect(file).toContain(`"'=HYPERLINK`)
    const { data } = Papa.parse<Record<string, string>>(file.trim(), { header: true })
    const read = await earlier(data, 'look')
    expect(read.problems).toEqual([])
    expect(read.records.map(({ state }) => state)).toEqual(['here', 'here'])
  })

  test('what lies ahead, or ends before it begins, is no record', async () => {
    const { problems, records } = await earlier(
      [
        { ...FEED, finished: '2090-01-01' },
        { ...FEED, started: '2025-05-06 15:00', finished: '2025-05-06 14:00' },
      ],
      'keep',
    )
    expect(records).toEqual([])
    expect(problems.map(({ message }) => message)).toEqual([
      expect.stringContaining('ahead'),
      expect.stringContaining('before it began'),
    ])
  })

  test('an id of work that is still to do is refused at its line, and its job stays as it is', async () => {
    const job = newJob()
    await client.put(`/crew/jobs/${uuid()}`, job)
    const [{ id, document } = { id: '', document: undefined }] = job.applications
    const { problems, added } = await earlier([{ ...FEED, record: id }], 'keep')
    expect([added, problems]).toMatchObject([0, [{ line: 2, column: 'record' }]])
    const { rows } = await query(served.databaseUrl, 'SELECT document FROM applications WHERE id = $1', [id])
    expect(rows[0]?.document).toEqual(document)
  })

  test('of two sites with one name neither is meant', async () => {
    for (const id of [uuid(), uuid()]) await client.put(`/crew/library/sites/${id}`, aSite('Twin House'))
    const { records } = await earlier([{ ...FEED, site: 'Twin House' }], 'look')
    expect(records[0]?.unknown).toContain('Twin House')
  })

  test('they touch no shelf', async () => {
    const { rows } = await query(
      served.databaseUrl,
      `SELECT count(*)::integer AS n FROM stock_movements s JOIN records r
         ON r.organization_id = s.organization_id AND r.id = s.application_id WHERE r.site = $1`,
      ['Elm House'],
    )
    expect(rows).toEqual([{ n: 0 }])
  })
})

describe('work that is entered afterwards', () => {
  async function entered(times: object, day = '2026-05-06') {
    const jobId = uuid()
    const job = newJob({ plannedFor: day })
    await client.put(`/crew/jobs/${jobId}`, job)
    const applicationId = job.applications[0]!.id
    const device = uuid()
    const [, started, used, finished] = runEvents(device, documentOf(job).products[0]!.id)
    const events = [
      { kind: 'planned', ...stamp(1, device), payload: { afterwards: true } },
      started,
      used,
      { kind: 'timed', ...stamp(5, device), payload: times },
      { ...finished, sequence: 6, counter: 6 },
    ] as readonly NewRunEvent[]
    const answer = await client.post(`/crew/applications/${applicationId}/events`, { events })
    return { applicationId, answer }
  }

  test('has the times it was done at, in record and ledger', async () => {
    const { applicationId, answer } = await entered({
      from: '2026-04-20T13:00:00.000Z',
      to: '2026-04-20T14:30:00.000Z',
    })
    expect(answer.body).toMatchObject({
      record: {
        startedAt: '2026-04-20T13:00:00.000Z',
        finishedAt: '2026-04-20T14:30:00.000Z',
        frozen: { afterwards: true },
      },
    })
    const { rows } = await query(
      served.databaseUrl,
      'SELECT DISTINCT on_day::text AS on FROM laid_down WHERE application_id = $1',
      [applicationId],
    )
    expect(rows).toEqual([{ on: '2026-04-20' }])
  })

  test.each([
    ['ends before it begins', { from: '2026-04-20T15:00:00.000Z', to: '2026-04-20T14:30:00.000Z' }],
    ['lies ahead', { to: '2099-04-20T14:30:00.000Z' }],
  ])('is refused where it %s', async (_, times) => {
    const { answer } = await entered(times)
    expect(answer.status).toBe(400)
    expect(codeOf(answer.body)).toBe('invalid')
  })
})

describe('reports and files', () => {
  test.each(['active', 'product', 'site', 'area', 'person'])(
    'what was used by %s adds up to what the ledger holds',
    async (by) => {
      const use = (await sample.get(`/crew/records/use?by=${by}&from=2026-01-01&to=2026-12-31`)).body as Use
      const sum = use.headings
        .flatMap(({ lines }) => lines)
        .filter(({ dimension }) => dimension === 'mass')
        .reduce((total, { amount }) => total + amount, 0)
      const { rows } = await query(
        served.databaseUrl,
        `SELECT coalesce(sum(amount), 0) AS sum FROM laid_down l
         JOIN organizations o ON o.id = l.organization_id
         WHERE o.kind = 'sample' AND dimension = 'mass' AND on_day BETWEEN '2026-01-01' AND '2026-12-31'`,
        [],
      )
      expect(sum).toBeGreaterThan(0)
      expect(sum).toBeCloseTo(Number(rows[0]?.sum), 6)
    },
  )

  test('the same as a file, and days the wrong way round are told', async () => {
    const answer = await sample.get('/crew/records/use?by=person&from=2026-01-01&to=2026-12-31&format=csv')
    expect(answer.headers.get('content-disposition')).toContain('use-2026-01-01-2026-12-31.csv')
    const { data, meta } = Papa.parse<Record<string, string>>((answer.body as string).trim(), {
      header: true,
    })
    expect(meta.fields?.slice(0, 2)).toEqual(['person', 'product_name'])
    expect(data.length).toBeGreaterThan(1)
    expect((await sample.get('/crew/records/use?from=2026-02-01&to=2026-01-01')).status).toBe(400)
  })

  test('the ground that was treated, as GeoJSON; what has no place is named', async () => {
    const answer = await sample.get('/crew/records/export?format=geojson')
    expect(answer.headers.get('content-type')).toContain('application/geo+json')
    const file = JSON.parse(answer.body as string) as {
      features: { geometry: { coordinates: number[][][][] }; properties: { record: string } }[]
      unplaced: string[]
    }
    expect(file.features.length + file.unplaced.length).toBeGreaterThan(0)
    for (const { geometry } of file.features)
      for (const ring of geometry.coordinates.flat()) expect(ring[0]).toEqual(ring.at(-1))
  })

  test('a record tells a calendar what follows from it', async () => {
    const { rows } = (await sample.get('/crew/records')).body as RecordPage
    const calendars = await Promise.all(
      rows.map(({ id }) => sample.get(`/crew/records/${id}/calendar`).then(({ body }) => body as string)),
    )
    expect(calendars.every((text) => text.startsWith('BEGIN:VCALENDAR'))).toBe(true)
    expect(calendars.join()).toMatch(/SUMMARY:(Keep off|Due again by|Look at)/)
    expect((await sample.get(`/crew/records/${uuid()}/calendar`)).status).toBe(404)
  })

  test('machines know what they last held', async () => {
    const held = (await sample.get('/crew/equipment/held')).body as readonly HeldByMachine[]
    const machines = new Set(
      ((await sample.get('/crew/library/equipment')).body as readonly Equipment[]).map(({ id }) => id),
    )
    expect(held.length).toBeGreaterThan(0)
    for (const { equipmentId, on, products } of held) {
      expect(machines.has(equipmentId)).toBe(true)
      expect(on).toMatch(/^\d{4}-\d{2}-\d{2}$/)
      expect(products.length).toBeGreaterThan(0)
    }
    expect((await client.get('/crew/equipment/held')).body).toEqual([])
  })

  test('a label is kept as PDF and comes back to the byte', async () => {
    const address = await client.address(`/crew/attachments/${uuid()}`)
    const bytes = Buffer.from('%PDF-1.4\n%sample label\n')
    const put = await fetch(address, {
      method: 'PUT',
      body: bytes,
      headers: { 'content-type': 'application/pdf' },
    })
    expect(put.status).toBe(200)
    expect(await put.json()).toMatchObject({ type: 'application/pdf' })
    const back = await fetch(address)
    expect(back.headers.get('content-type')).toBe('application/pdf')
    expect(Buffer.from(await back.arrayBuffer()).equals(bytes)).toBe(true)
  })
})
