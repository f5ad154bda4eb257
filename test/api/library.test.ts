import Papa from 'papaparse'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { lawnFromArea, noteFromLabel } from '../../core/draft/fromLibrary'
import { CEMETERY_PICTURE } from '../../demo/sampleGround'
import { SAMPLE_SITES } from '../../demo/sampleLinks'
import { named } from '../../demo/typed'
import type { Area, AreaSize, LedgerRow, SitePage } from '../../shared/schemas/ground'
import type { Job, JobPage } from '../../shared/schemas/job'
import type { OrganizationChoice, SaveOrganization } from '../../shared/schemas/organization'
import type { Equipment } from '../../shared/schemas/equipment'
import type { Stock } from '../../shared/schemas/product'
import type { MachineOutcome, RecordPage, Run } from '../../shared/schemas/run'
import type { Found, Today } from '../../shared/schemas/today'
import { crewRoutes, withId } from '../support/crewRoutes'
import { clientOf, type Client } from '../support/client'
import {
  aCalibration,
  anArea,
  anAreaProgram,
  aProbe,
  aProduct,
  aProgram,
  aSite,
  aSprayer,
  aSpreader,
  aStation,
  aTrial,
} from '../support/rows'
import { spreaderCourse, spreading } from '../support/documents'
import { query, serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
let sample: Client
let client: Client
let other: Client
beforeAll(async () => {
  served = await serve()
  sample = clientOf(served.url)
  client = clientOf(served.url)
  other = clientOf(served.url)
  await client.post('/api/organizations', { id: uuid(), name: 'A crew of one', units: 'us-1000' })
  await other.post('/api/organizations', { id: uuid(), name: 'Another crew', units: 'metric-100' })
})
afterAll(() => served.stop())

const codeOf = (body: unknown) => (body as { error: { code: string } }).error.code
const path = (kind: string, id: string) => `/crew/library/${kind}/${id}`
async function put<B extends { readonly version: number }>(kind: string, body: B, id = uuid()) {
  const answer = await client.put(path(kind, id), body)
  expect(answer.status, JSON.stringify(answer.body)).toBe(200)
  return id
}

/** One row of every kind, each in need of the ones before it. */
const LIBRARY: readonly (readonly [string, () => Promise<object & { version: number }>, object])[] = [
  ['sites', async () => aSite(), { name: 'Other name' }],
  ['areas', async () => anArea(await put('sites', aSite())), { name: 'Other name' }],
  ['equipment', async () => aSprayer(), { name: 'Other name' }],
  [
    'calibrations',
    async () => aCalibration(await put('equipment', aSprayer())),
    { document: { ...aCalibration('').document, by: 'A. Birch' } },
  ],
  [
    'benchTests',
    async () => aTrial(await put('equipment', aSpreader())),
    { document: { ...aTrial('').document, by: 'A. Birch' } },
  ],
  ['products', async () => aProduct(), { name: 'Other name' }],
  ['stations', async () => aStation(), { name: 'Other name' }],
  [
    'probes',
    async () => aProbe(await put('areas', anArea(await put('sites', aSite())))),
    { document: aProbe('', '55').document },
  ],
  ['programs', async () => aProgram(), { name: 'Other name' }],
  [
    'areaPrograms',
    async () =>
      anAreaProgram(
        await put('areas', anArea(await put('sites', aSite()))),
        await put('programs', aProgram()),
      ),
    { document: { ...anAreaProgram('', '').document, notes: 'first year' } },
  ],
]

describe.each(LIBRARY)('%s', (kind, make, change) => {
  test('stored as entered; a repeat changes nothing', async () => {
    const body = await make()
    const id = await put(kind, body)
    expect((await client.get(path(kind, id))).body).toMatchObject({ ...body, id, version: 1 })
    expect((await client.put(path(kind, id), body)).body).toMatchObject({ version: 1 })
    const changed = { ...body, ...change, version: 1 }
    expect((await client.put(path(kind, id), changed)).body).toMatchObject({ ...change, version: 2 })
    expect((await client.put(path(kind, id), changed)).body).toMatchObject({ version: 2 })
    const stale = await client.put(path(kind, id), { ...body, version: 1 })
    expect(stale).toMatchObject({
      status: 409,
      body: { error: { code: 'changed-elsewhere' }, current: { ...change, version: 2 } },
    })
  })

  test('of four at once one wins', async () => {
    const body = await make()
    const id = await put(kind, body)
    const answers = await Promise.all(
      ['a', 'b', 'c', 'd'].map((note) =>
        client.put(path(kind, id), {
          ...body,
          version: 1,
          ...(kind === 'calibrations' || kind === 'benchTests'
            ? { document: { ...(body as ReturnType<typeof aCalibration>).document, notes: note } }
            : kind === 'probes'
              ? { document: { ...aProbe('').document, where: note } }
              : kind === 'areaPrograms'
                ? { document: { ...anAreaProgram('', '').document, notes: note } }
                : { name: note }),
        }),
      ),
    )
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409, 409, 409])
  })

  test('deleted only as it was seen, gone from lists, and brought back whole', async () => {
    const body = await make()
    const id = await put(kind, body)
    expect((await client.delete(path(kind, id), { version: 7 })).status).toBe(409)
    expect((await client.delete(path(kind, id), { version: 1 })).status).toBe(200)
    expect((await client.get(path(kind, id))).status).toBe(404)
    expect(codeOf((await client.put(path(kind, id), { ...body, version: 1 })).body)).toBe('not-found')
    expect((await client.post(`${path(kind, id)}/restore`, {})).body).toMatchObject({
      ...body,
      id,
      version: 2,
    })
    expect((await client.post(`${path(kind, id)}/restore`, {})).status).toBe(200)
    expect((await client.delete(path(kind, uuid()), { version: 1 })).status).toBe(404)
  })

  test('what is not right is refused at its field', async () => {
    const body = await make()
    expect((await client.put(path(kind, uuid()), { ...body, surprise: 1 })).body).toMatchObject({
      error: { code: 'invalid', issues: [{ path: 'surprise' }] },
    })
    expect((await client.put(path(kind, uuid()), { ...body, document: { schema: 99 } })).status).toBe(400)
    expect((await client.put(path(kind, 'nonsense'), body)).status).toBe(404)
  })
})

test('an area is measured by the server, and the sizes at which it came to rest are told', async () => {
  const siteId = await put('sites', aSite('Sizes'))
  const area = anArea(siteId)
  const id = await put('areas', area)
  expect((await client.get(path('areas', id))).body).toMatchObject({ sizeM2: expect.closeTo(464.5152, 6) })
  await put('areas', { ...area, version: 1, name: 'Renamed' }, id)
  await put('areas', { ...anArea(siteId, 'Renamed', '120'), version: 2 }, id)
  const sizes = (await client.get(`/crew/areas/${id}/sizes`)).body as AreaSize[]
  // The first stood for no ten minutes: it was on the way to the second.
  expect(sizes.map(({ sizeM2 }) => Math.round(sizeM2))).toEqual([557])
  const unread = anArea(siteId, 'Nothing yet', '')
  const blank = await put('areas', unread)
  expect((await client.get(path('areas', blank))).body).toMatchObject({ sizeM2: null })
  expect((await client.put(path('areas', uuid()), anArea(uuid()))).status).toBe(404)
  const page = (await client.get('/crew/sites?q=siz')).body as SitePage
  expect(page.rows).toMatchObject([{ id: siteId, areas: 2, sizeM2: expect.closeTo(557.41824, 5) }])
})

test('a calibration is worked out by the server and belongs to its own kind of machine', async () => {
  const equipmentId = await put('equipment', aSprayer('Boom'))
  const id = await put('calibrations', aCalibration(equipmentId))
  // 1 gal on 1,000 ft2 is 0.003785411784 m3 on 92.90304 m2.
  expect((await client.get(path('calibrations', id))).body).toMatchObject({
    perPass: expect.closeTo(4.07458e-5, 10),
  })
  expect(
    (await client.put(path('calibrations', uuid()), aCalibration(equipmentId, 'spread'))).body,
  ).toMatchObject({ error: { issues: [{ path: 'document.kind' }] } })
  expect((await client.put(path('benchTests', uuid()), aTrial(equipmentId))).body).toMatchObject({
    error: { issues: [{ path: 'document.kind' }] },
  })
})

test('stock is what its movements come to: a repeat is booked once, a count sets it', async () => {
  const id = await put('products', aProduct('Stocked'))
  const move = (kind: string, text: string, unit = 'lb', movement = uuid()) =>
    client.post(`/crew/products/${id}/stock`, {
      id: movement,
      kind,
      entered: { text, unit },
      lot: 'A1',
      remarks: '',
      on: '2026-05-06',
    })
  const once = uuid()
  await move('received', '50', 'lb', once)
  await move('received', '50', 'lb', once)
  await move('disposed', '1 lb 8 oz')
  const counted = (await move('counted', '40')).body as Stock
  expect(counted.onHand).toEqual([
    {
      dimension: 'mass',
      amount: expect.closeTo(40 * 0.45359237, 9),
      delivered: expect.closeTo(50 * 0.45359237, 9),
    },
  ])
  const listed = (await client.get('/crew/library/products')).body as { id: string; onHand: unknown }[]
  expect(listed.find((one) => one.id === id)?.onHand).toEqual(counted.onHand)
  expect((await client.get(`/crew/products/${id}/planned`)).body).toEqual([])
  expect(counted.movements).toHaveLength(3)
  expect((await move('received', 'some')).body).toMatchObject({ error: { issues: [{ path: 'entered' }] } })
  expect((await move('used', '5')).status).toBe(400)
  expect(
    (
      await client.post(`/crew/products/${uuid()}/stock`, {
        id: uuid(),
        kind: 'received',
        entered: { text: '1', unit: 'lb' },
        lot: '',
        remarks: '',
        on: '2026-05-06',
      })
    ).status,
  ).toBe(404)
})

describe('the sample crew', () => {
  const bowls = named('site Tamsin Point Bowls Club')
  const running = named('application Tamsin Point Bowls Club Growth regulator with iron 2026-05-06 0')

  test('opens in the middle of its season: something running, due, closed off, stale, low', async () => {
    const today = (await sample.get('/crew/today')).body as Today
    expect(today.day).toBe('2026-05-06')
    // One waits at its gate, the other can be carried on.
    expect(today.running).toMatchObject([
      { site: 'Tamsin Point Bowls Club' },
      { site: 'St Brannock’s School' },
    ])
    expect(
      today.due.map(
        ({ product, state, jobId }) => `${product} ${state} ${jobId === null ? 'open' : 'planned'}`,
      ),
    ).toEqual([
      'Prodiamine 65 % granule for water due open',
      'Propiconazole 14.3 % concentrate due open',
      'Trinexapac-ethyl 11.3 % due planned',
    ])
    expect(today.reentry).toMatchObject([{ site: 'The Saltings', products: 'Bifenthrin granule' }])
    expect(today.stale.map(({ equipment }) => equipment)).toEqual(['3 gal pump backpack'])
    expect(today.low.map(({ product }) => product)).toEqual(['Propiconazole 14.3 % concentrate'])
  })

  test('an outcome fills ledger and stock; a correction adds the difference to both', async () => {
    const before = (await sample.get(`/crew/sites/${bowls}/ledger`)).body as LedgerRow[]
    const { events, record } = (await sample.get(`/crew/applications/${running}/events`)).body as Run
    const device = events[0]?.deviceId ?? ''
    const stamp = (sequence: number) => ({
      id: uuid(),
      deviceId: device,
      sequence,
      counter: sequence,
      at: '2026-05-06T12:30:00.000Z',
    })
    const products = record?.frozen.labels ?? []
    const iron = products.find(({ name }) => name.startsWith('Chelated'))
    const stockOf = async () =>
      ((await sample.get(`/crew/products/${iron?.sourceId}/stock`)).body as Stock).onHand[0]?.amount ?? 0
    const shelf = await stockOf()
    const used = {
      treated: { value: 2080, unit: 'm2' },
      made: { value: 30, unit: 'gal' },
      left: { value: 3, unit: 'gal' },
      putIn: products.map(({ productId }) => ({ productId, amount: { value: 2000, unit: 'mL' } })),
    }
    const details = { by: 'T. Arkwright', licence: '', target: 'growth', weather: '', remarks: '' }
    const done = await sample.post(`/crew/applications/${running}/events`, {
      events: [
        { kind: 'used', ...stamp(3), payload: used },
        { kind: 'finished', ...stamp(4), payload: details },
      ],
    })
    expect(done.body).toMatchObject({ record: { state: 'done' } })
    expect(await stockOf()).toBeCloseTo(shelf - 0.0018, 9)
    const after = (await sample.get(`/crew/sites/${bowls}/ledger`)).body as LedgerRow[]
    expect(after.length - before.length).toBe(6)
    const own = (rows: LedgerRow[]) =>
      rows
        .filter(({ applicationId, product }) => applicationId === running && product.startsWith('Chelated'))
        .reduce((sum, { amount }) => sum + amount, 0)
    expect(own(after)).toBeCloseTo(0.0018, 9)
    await sample.post(`/crew/applications/${running}/events`, {
      events: [
        {
          kind: 'corrected',
          ...stamp(5),
          payload: { field: 'left', now: { value: 6, unit: 'gal' }, reason: 'read the wrong mark' },
        },
      ],
    })
    expect(own((await sample.get(`/crew/sites/${bowls}/ledger`)).body as LedgerRow[])).toBeCloseTo(0.0016, 9)
    expect(await stockOf()).toBeCloseTo(shelf - 0.0016, 9)
    for (const table of ['laid_down', 'stock_movements', 'area_sizes']) {
      await expect(query(served.databaseUrl, `UPDATE ${table} SET at = now()`)).rejects.toThrow('append-only')
      await expect(query(served.databaseUrl, `DELETE FROM ${table}`)).rejects.toThrow('append-only')
    }
  })

  test('records are found by word, verdict, site and day, in three orders, each once', async () => {
    const all = async (question: string) => {
      const seen: RecordPage['rows'][number][] = []
      for (let next: string | null = ''; next !== null;) {
        const page: RecordPage = (
          await sample.get(`/crew/records?${question}${next ? `&after=${next}` : ''}`)
        ).body as RecordPage
        seen.push(...page.rows)
        next = page.next
      }
      expect(new Set(seen.map(({ id }) => id)).size).toBe(seen.length)
      return seen
    }
    const everything = await all('')
    expect(everything.length).toBe(73)
    expect(everything.map(({ finishedAt }) => finishedAt)).toEqual(
      everything
        .map(({ finishedAt }) => finishedAt)
        .toSorted()
        .toReversed(),
    )
    expect((await all('sort=oldest')).map(({ id }) => id)).toEqual(
      everything.map(({ id }) => id).toReversed(),
    )
    expect((await all('sort=site')).map(({ site }) => site.toLowerCase())).toEqual(
      everything.map(({ site }) => site.toLowerCase()).toSorted(),
    )
    const iron = await all('q=chel%20coop')
    expect(iron.length).toBeGreaterThan(2)
    expect(
      iron.every(({ products, site }) => products.includes('Chelated') && site === 'Cooperage Row'),
    ).toBe(true)
    expect((await all('q=arkwright')).every(({ by }) => by === 'T. Arkwright')).toBe(true)
    expect((await all('verdict=off')).every(({ verdict }) => verdict === 'off')).toBe(true)
    expect((await all(`siteId=${bowls}`)).every(({ siteId }) => siteId === bowls)).toBe(true)
    // The evening of 5 May in New York is already 6 May in Greenwich for a late finish; days are the crew's
    // own.
    expect((await all('from=2026-05-05&to=2026-05-05')).map(({ site }) => site)).toEqual(['The Saltings'])
    expect(await all('q=%27%20OR%201%3D1')).toEqual([])
    for (const wrong of ['verdict=splendid', 'sort=sideways', 'from=5/6', 'siteId=x', 'after=nonsense'])
      expect((await sample.get(`/crew/records?${wrong}`)).status, wrong).toBe(400)
  })

  test('records leave as CSV and as JSON, the same ones, and no cell runs as a formula', async () => {
    const file = async (question: string) => fetch(await sample.address(`/crew/records/export?${question}`))
    const csv = await file('format=csv&q=saltings')
    expect(csv.headers.get('content-disposition')).toContain('records-2026-05-06.csv')
    const lines = Papa.parse<Record<string, string>>((await csv.text()).trim(), { header: true }).data
    const whole = (await (await file('format=json&q=saltings')).json()) as {
      id: string
      record: { outcomes: unknown[] }
    }[]
    expect(new Set(lines.map(({ record }) => record))).toEqual(new Set(whole.map(({ id }) => id)))
    expect(lines.length).toBe(whole.reduce((sum, { record }) => sum + record.outcomes.length, 0))
    expect(lines[0]).toMatchObject({ rate_unit: expect.stringMatching(/\//), licence: 'TP-0417 (sample)' })
    // Figures as people write them: nothing of what arithmetic leaves at the end, such as 15.629999999999999.
    const figures = lines.flatMap(({ used, actual_rate, off_by_percent }) => [
      used,
      actual_rate,
      off_by_percent,
    ])
    expect(
      figures.filter((figure) => (figure ?? '').replaceAll(/\D/g, '').replace(/^0+/, '').length > 9),
    ).toEqual([])
    const [first, second] = whole
    const chosen = (await (await file(`format=json&ids=${first?.id}&ids=${second?.id}`)).json()) as unknown[]
    expect(chosen).toMatchObject([{ id: first?.id }, { id: second?.id }])
    expect((await file('format=json&ids=x')).status).toBe(400)
    expect(await (await file('format=json&q=nothing-like-it')).json()).toEqual([])
    expect((await file('format=xml')).status).toBe(400)
  })

  test('a machine’s last outcomes stand against their plans, oldest first', async () => {
    const machines = (await sample.get('/crew/library/equipment')).body as readonly Equipment[]
    const tow = machines.find(({ name }) => name === '26 gal tow boom')
    const outcomes = (await sample.get(`/crew/equipment/${tow?.id}/outcomes`))
      .body as readonly MachineOutcome[]
    expect(outcomes.length).toBeGreaterThan(5)
    expect(outcomes.map(({ finishedAt }) => finishedAt)).toEqual(
      outcomes.map(({ finishedAt }) => finishedAt).toSorted(),
    )
    for (const { plannedRate, actualRate, deviation } of outcomes)
      expect(actualRate.value / plannedRate.value - 1).toBeCloseTo(deviation, 9)
    expect((await sample.get(`/crew/equipment/${uuid()}/outcomes`)).status).toBe(404)
  })

  test('the areas of several sites come in one answer', async () => {
    const sites = [SAMPLE_SITES.bowls, SAMPLE_SITES.school]
    const found = (await sample.get(`/crew/library/areas?${sites.map((id) => `siteId=${id}`).join('&')}`))
      .body as readonly Area[]
    expect(new Set(found.map(({ siteId }) => siteId))).toEqual(new Set(sites))
  })

  test('the palette finds every kind of thing by the beginnings of its words', async () => {
    const found = async (words: string) =>
      ((await sample.get(`/crew/find?q=${encodeURIComponent(words)}`)).body as Found[]).map(
        ({ kind }) => kind,
      )
    expect(new Set(await found('cooper'))).toEqual(new Set(['site', 'job', 'record']))
    expect(await found('croq')).toContain('area')
    expect(await found('tow bo')).toEqual(['equipment'])
    expect(await found('propi')).toContain('product')
    expect(await found('  %_\\ ')).toEqual([])
  })

  test('opened afresh it stands on its morning again, and the old one is kept out of the way', async () => {
    const fresh = clientOf(served.url)
    expect((await fresh.post('/api/organizations/sample', {})).status).toBe(201)
    const choice = (await fresh.get('/api/organizations')).body as OrganizationChoice
    expect(choice.all.filter(({ kind }) => kind === 'sample')).toHaveLength(1)
    expect(((await fresh.get('/crew/today')).body as Today).running).toHaveLength(2)
    expect(
      (await query(served.databaseUrl, `SELECT count(*)::int AS n FROM organizations WHERE kind = 'retired'`))
        .rows[0]?.n,
    ).toBe(1)
  })
})

test('settings are the crew’s own, guarded by their version, and rule verdicts and trust', async () => {
  const { current } = (await client.get('/api/organizations')).body as OrganizationChoice
  const save: SaveOrganization = {
    version: current.version,
    name: 'A crew of two',
    licence: 'L-1',
    units: 'metric-100',
    timeZone: 'Europe/Dublin',
    settings: { ...current.settings, currency: 'EUR', house: { ...current.settings.house, good: 0.02 } },
  }
  expect((await client.put('/crew/settings', save)).body).toMatchObject({
    name: 'A crew of two',
    version: 2,
    settings: { currency: 'EUR', house: { good: 0.02, acceptable: 0.1 } },
  })
  expect((await client.put('/crew/settings', save)).body).toMatchObject({ version: 2 })
  expect((await client.put('/crew/settings', { ...save, name: 'Late' })).body).toMatchObject({
    error: { code: 'changed-elsewhere' },
    current: { name: 'A crew of two' },
  })
  expect((await client.put('/crew/settings', { ...save, version: 2, timeZone: 'Moon/Crater' })).status).toBe(
    400,
  )
  expect(
    (
      await client.put('/crew/settings', {
        ...save,
        version: 2,
        settings: { ...save.settings, house: { ...save.settings.house, good: 0.5 } },
      })
    ).status,
  ).toBe(400)
})

test('every route answers another crew with 404 for what is not its own', async () => {
  const siteId = await put('sites', aSite('Walked'))
  const ids: Readonly<Record<string, string>> = {
    sites: siteId,
    areas: await put('areas', anArea(siteId)),
    equipment: await put('equipment', aSprayer()),
    products: await put('products', aProduct()),
    calibrations: await put('calibrations', aCalibration(await put('equipment', aSprayer()))),
    benchTests: await put('benchTests', aTrial(await put('equipment', aSpreader()))),
    stations: await put('stations', aStation()),
    probes: await put('probes', aProbe(await put('areas', anArea(siteId)))),
    programs: await put('programs', aProgram()),
    areaPrograms: await put(
      'areaPrograms',
      anAreaProgram(await put('areas', anArea(siteId)), await put('programs', aProgram())),
    ),
    calendars: await aCalendar(),
    attachments: CEMETERY_PICTURE,
    jobs: named('job Cooperage Row Spring feed, front strips 2026-05-06'),
    records: named('application The Saltings Surface insects 2026-05-05'),
    applications: named('application The Saltings Surface insects 2026-05-05'),
  }
  async function aCalendar(): Promise<string> {
    const id = uuid()
    const made = await client.post('/crew/calendars', { id, name: 'Phone', whose: 'crew' })
    expect(made.status).toBe(201)
    return id
  }
  // The four last are the sample's, which is another crew to both.
  const bodies: Readonly<Record<string, unknown>> = {
    DELETE: { version: 1 },
    'stock.POST': {
      id: uuid(),
      kind: 'received',
      entered: { text: '1', unit: 'lb' },
      lot: '',
      remarks: '',
      on: '2026-05-06',
    },
    'events.POST': {
      events: [
        {
          kind: 'started',
          id: uuid(),
          deviceId: uuid(),
          sequence: 1,
          counter: 1,
          at: '2026-05-06T12:00:00.000Z',
        },
      ],
    },
    'restore.POST': {},
    'days.POST': { days: [{ on: '2026-05-06', least: 4, most: 14, forecast: false }] },
    'hours.POST': { hours: [{ on: '2026-05-06', hour: 9, air: 4, forecast: false }] },
    'map.POST': { areas: [], removed: [] },
    'copy.POST': { id: uuid(), name: 'Theirs' },
    'calibrations.POST': { calibrations: [{ id: uuid(), document: aCalibration('').document }] },
  }
  let walked = 0
  // People, invitations and history are walked where people are told apart (people.test).
  const rows = (await crewRoutes(client)).filter(
    ({ path }) => path.includes('{id}') && !/^\/(people|invitations|history)/.test(path),
  )
  for (const { method, path } of rows) {
    // A PUT makes a row of one's own: that it leaves the other's alone is asserted for itself below.
    if (method === 'PUT') continue
    const kind = path.replace('/library', '').split('/')[1] ?? ''
    const id = ids[kind]
    expect(id, `${path} names no row of this test: add one`).toBeDefined()
    const address = `/crew${withId(path, id)}` + (/\/(export|calibrations)$/.test(path) ? '?format=csv' : '')
    const body = bodies[`${path.split('/').at(-1)}.${method}`] ?? bodies[method]
    const answer =
      method === 'GET'
        ? await other.get(address)
        : method === 'DELETE'
          ? await other.delete(address, body)
          : await other.post(address, body)
    expect(answer.status, `${method} ${address}`).toBe(404)
    walked += 1
  }
  expect(walked).toBeGreaterThan(20)
  // A crew that is gone is told, whatever the cookie remembers: nothing is written into another.
  const gone = `/api/organizations/${uuid()}`
  expect((await client.get(`${gone}/today`)).status).toBe(404)
  expect((await client.put(`${gone}/library/sites/${uuid()}`, aSite('Nowhere'))).status).toBe(404)
  for (const list of ['/crew/sites', '/crew/jobs', '/crew/records'])
    expect(((await other.get(list)).body as JobPage).rows, list).toEqual([])
  expect((await other.get('/crew/find?q=walked')).body).toEqual([])
  expect((await other.get(`/crew/library/areas?siteId=${siteId}`)).body as Area[]).toEqual([])
  for (const [kind, id] of Object.entries(ids).slice(0, 6)) {
    const body = (await client.get(path(kind, id))).body as { version: number }
    await other.put(path(kind, id), { ...(await LIBRARY.find(([name]) => name === kind)?.[1]()), version: 0 })
    expect((await client.get(path(kind, id))).body, kind).toEqual(body)
  }
})

test(
  'a visit holds several applications in order; each is run for itself, and the visit is done when all ' +
    'are',
  async () => {
    const jobs = (await sample.get('/crew/jobs?state=planned&q=marlow')).body as JobPage
    const job = (await sample.get(`/crew/jobs/${jobs.rows[0]?.id}`)).body as Job
    // Its line in a list tells what it puts down, application by application.
    expect(jobs.rows[0]?.methods).toEqual(job.applications.map(({ document }) => document.method))
    expect(jobs.rows[0]?.products).toEqual(
      job.applications.map(({ document }) => document.products.map(({ name }) => name).join(' + ')),
    )
    const save = (version: number, applications: Job['applications']) =>
      sample.put(`/crew/jobs/${job.id}`, {
        version,
        site: job.site,
        siteId: job.siteId,
        purpose: job.purpose,
        plannedFor: job.plannedFor,
        state: 'planned',
        applications: applications.map(({ id, document }) => ({ id, document })),
      })
    const turned = await save(job.version, job.applications.toReversed())
    expect((turned.body as Job).applications.map(({ id }) => id)).toEqual(
      job.applications.map(({ id }) => id).toReversed(),
    )
    const foreign = await sample.put(`/crew/jobs/${uuid()}`, {
      version: 0,
      site: '',
      siteId: null,
      purpose: '',
      plannedFor: '',
      state: 'draft',
      applications: [{ id: job.applications[0]?.id, document: job.applications[0]?.document }],
    })
    expect(foreign.body).toMatchObject({ error: { issues: [{ path: 'applications.0.id' }] } })
    const [first, second] = (turned.body as Job).applications
    const device = uuid()
    const stamp = (sequence: number) => ({
      id: uuid(),
      deviceId: device,
      sequence,
      counter: sequence,
      at: '2026-05-11T12:00:00.000Z',
    })
    await sample.post(`/crew/applications/${first?.id}/events`, {
      events: [
        { kind: 'planned', ...stamp(1) },
        { kind: 'started', ...stamp(2) },
      ],
    })
    const under = (await sample.get(`/crew/jobs/${job.id}`)).body as Job
    expect([under.state, ...under.applications.map(({ state }) => state)]).toEqual([
      'running',
      'running',
      'planned',
    ])
    expect(codeOf((await save(under.version, under.applications.toReversed())).body)).toBe('locked')
    expect(codeOf((await sample.delete(`/crew/jobs/${job.id}`, { version: under.version })).body)).toBe(
      'locked',
    )
    for (const application of [first, second]) {
      const products =
        application?.document.products.map(({ id }) => ({
          productId: id,
          amount: { value: 40, unit: application.document.method === 'spread' ? 'lb' : 'fl oz' },
        })) ?? []
      const payload =
        application?.document.method === 'spread'
          ? { treated: { value: 8820, unit: 'ft2' }, putIn: products, left: { value: 9, unit: 'lb' } }
          : {
              treated: { value: 8820, unit: 'ft2' },
              putIn: products,
              made: { value: 12, unit: 'gal' },
              left: { value: 1, unit: 'gal' },
            }
      const own =
        application?.id === first?.id
          ? []
          : [
              { kind: 'planned', ...stamp(1) },
              { kind: 'started', ...stamp(2) },
            ]
      await sample.post(`/crew/applications/${application?.id}/events`, {
        events: [
          ...own,
          { kind: 'used', ...stamp(3), payload },
          {
            kind: 'finished',
            ...stamp(4),
            payload: { by: '', licence: '', target: '', weather: '', remarks: '' },
          },
        ],
      })
    }
    expect((await sample.get(`/crew/jobs/${job.id}`)).body).toMatchObject({
      state: 'done',
      applications: [{ state: 'done' }, { state: 'done' }],
    })
  },
)

test(
  'a run is refused against its label, the ledger or a rule of the place, and starts once nothing stands ' +
    'in the way',
  async () => {
    const crew = clientOf(served.url)
    await crew.post('/api/organizations', { id: uuid(), name: 'A careful crew', units: 'us-1000' })
    const [siteId, areaId, productId, applicationId] = [uuid(), uuid(), uuid(), uuid()]
    await crew.put(path('sites', siteId), aSite('Held back'))
    await crew.put(path('areas', areaId), anArea(siteId))
    const label = aProduct('Held granule')
    const [line] = label.document.lines
    const product = {
      ...label,
      document: {
        ...label.document,
        lines: [
          {
            ...line,
            rate: { text: '3', unit: 'lb/1000 ft2' as const },
            year: { text: '5', unit: 'lb/1000 ft2' as const },
          },
        ],
      },
    } as typeof label
    await crew.put(path('products', productId), product)
    const area = (await crew.get(path('areas', areaId))).body as Area
    const job = (id: string, application: string, state: 'planned' | 'draft' = 'planned') =>
      crew.put(`/crew/jobs/${id}`, {
        version: 0,
        site: 'Held back',
        siteId,
        purpose: '',
        plannedFor: '',
        state,
        applications: [
          {
            id: application,
            document: spreading(
              [lawnFromArea(area)],
              [
                {
                  ...noteFromLabel(
                    { id: productId, version: 1, name: product.name, document: product.document },
                    product.document.lines[0]!,
                    uuid(),
                    { text: '', unit: 'lb' },
                  ),
                },
              ],
              { passes: 2, calibration: spreaderCourse('2026-11-01', '12', product.name, [['10', '9']]) },
            ),
          },
        ],
      })
    const device = uuid()
    const event = (kind: string, sequence: number, payload?: object) => ({
      kind,
      id: uuid(),
      deviceId: device,
      sequence,
      counter: sequence,
      at: new Date().toISOString(),
      ...(payload && { payload }),
    })
    const run = (application: string, events: readonly object[]) =>
      crew.post(`/crew/applications/${application}/events`, { events })
    expect((await job(uuid(), applicationId)).status).toBe(200)
    const started = await run(applicationId, [event('planned', 1), event('started', 2)])
    expect(started.status, JSON.stringify(started.body)).toBe(200)
    const frozen = (started.body as Run).record?.frozen
    // 3 lb on 1,000 ft2 of 5,000 ft2 lie there; 3 more are over the year's 5.
    const used = {
      treated: { value: 5000, unit: 'ft2' },
      left: { value: 0.1, unit: 'lb' },
      putIn: [{ productId: frozen?.labels[0]?.productId, amount: { value: 15.1, unit: 'lb' } }],
    }
    expect(
      (
        await run(applicationId, [
          event('used', 3, used),
          event('finished', 4, { by: '', licence: '', target: '', weather: '', remarks: '' }),
        ])
      ).status,
    ).toBe(200)
    // Neither planned nor, as a draft, begun; both are told and both are written down.
    const [againJob, again] = [uuid(), uuid()]
    const refused = {
      error: { code: 'not-ready', issues: [{ message: expect.stringContaining('over the label') }] },
    }
    expect((await job(againJob, again)).body).toMatchObject(refused)
    expect((await job(againJob, again, 'draft')).status).toBe(200)
    expect((await run(again, [event('planned', 5), event('started', 6)])).body).toMatchObject(refused)
    const { body } = await crew.get('/crew/refusals')
    expect(body).toMatchObject(
      ['x', 'y'].map(() => ({ applicationId: again, jobId: againJob, code: 'above-max-per-year' })),
    )
  },
)
