import { request } from 'node:http'
import { v7 as uuid } from 'uuid'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { CORE_VERSION } from '../../core/version'
import type { Job, SaveJob } from '../../shared/schemas/job'
import type { NewRunEvent, RecordPage, Run } from '../../shared/schemas/run'
import { clientOf, type Client } from '../support/client'
import { carriedRun, documentOf, newJob, runEvents, sample, stamp } from '../support/jobs'
import { query, serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
let client: Client
let other: Client
beforeAll(async () => {
  served = await serve()
  client = clientOf(served.url)
  other = clientOf(served.url)
  await client.post('/api/organizations', { id: uuid(), name: 'A crew of one', units: 'us-1000' })
  await other.post('/api/organizations', { id: uuid(), name: 'Another crew', units: 'metric-100' })
})
afterAll(() => served.stop())

const codeOf = (body: unknown) => (body as { error: { code: string } }).error.code

describe('saving', () => {
  test('a job is stored, read back as entered, listed, and computed by the server', async () => {
    const id = uuid()
    const first = newJob()
    const saved = await client.put(`/crew/jobs/${id}`, first)
    expect(saved).toMatchObject({ status: 200, body: { id, version: 1, state: 'planned' } })
    expect((await client.get(`/crew/jobs/${id}`)).body).toMatchObject({
      applications: [{ document: documentOf(first) }],
    })
    expect((await client.get('/crew/jobs')).body).toMatchObject({
      rows: [{ id, site: 'Cooperage Row' }],
      next: null,
    })
    expect((await client.get(`/crew/jobs/${id}/file`)).body).toMatchObject({
      applications: [
        {
          plan: { totals: { products: [{ amount: { unit: 'lb', value: expect.closeTo(13.1905062, 6) } }] } },
        },
      ],
    })
  })

  test('a job is given to somebody, and stays so when a save says nothing of it', async () => {
    const id = uuid()
    await client.put(`/crew/jobs/${id}`, newJob({ givenTo: 'R. Field' }))
    const typed = { ...newJob(), version: 1, purpose: 'typed on' }
    expect((await client.put(`/crew/jobs/${id}`, typed)).body).toMatchObject({ givenTo: 'R. Field' })
    expect((await client.get('/crew/jobs')).body).toMatchObject({
      rows: expect.arrayContaining([expect.objectContaining({ id, givenTo: 'R. Field' })]),
    })
    expect((await client.get('/crew/names')).body).toEqual(['R. Field'])
    expect((await other.get('/crew/names')).body).toEqual([])
    expect((await client.put(`/crew/jobs/${id}`, { ...typed, version: 2, givenTo: '' })).body).toMatchObject({
      givenTo: '',
    })
  })

  test('a retry succeeds, a stale write is told with the row that is there', async () => {
    const id = uuid()
    const first = newJob()
    await client.put(`/crew/jobs/${id}`, first)
    expect(await client.put(`/crew/jobs/${id}`, first)).toMatchObject({ status: 200, body: { version: 1 } })
    expect(await client.put(`/crew/jobs/${id}`, { ...first, version: 1, site: 'Mine' })).toMatchObject({
      status: 200,
      body: { version: 2 },
    })
    const stale = await client.put(`/crew/jobs/${id}`, { ...first, version: 1, site: 'Theirs' })
    expect(stale).toMatchObject({
      status: 409,
      body: { error: { code: 'changed-elsewhere' }, current: { version: 2, site: 'Mine' } },
    })
  })

  test('of two at once one wins and the other is told', async () => {
    const id = uuid()
    const first = newJob()
    await client.put(`/crew/jobs/${id}`, first)
    const answers = await Promise.all(
      ['a', 'b', 'c', 'd'].map((site) => client.put(`/crew/jobs/${id}`, { ...first, version: 1, site })),
    )
    expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409, 409, 409])
  })

  test('what cannot be worked out may be a draft, never planned', async () => {
    const document = {
      ...documentOf(newJob()),
      lawns: documentOf(newJob()).lawns.map((lawn) => ({ ...lawn, treated: 'no' as const })),
    }
    const job = newJob({ applications: [{ id: uuid(), document }] })
    expect(codeOf((await client.put(`/crew/jobs/${uuid()}`, job)).body)).toBe('not-ready')
    expect((await client.put(`/crew/jobs/${uuid()}`, { ...job, state: 'draft' })).status).toBe(200)
    expect((await client.put(`/crew/jobs/${uuid()}`, newJob({ plannedFor: '2026-06-31' }))).status).toBe(400)
    expect((await client.put(`/crew/jobs/${uuid()}`, newJob({ plannedFor: 'soon' }))).status).toBe(400)
  })
})

async function runJob(job: SaveJob, left = 3) {
  const id = uuid()
  const device = uuid()
  await client.put(`/crew/jobs/${id}`, job)
  const productId = documentOf(job).products[0]?.id ?? ''
  const events = runEvents(device, productId, left)
  return {
    id,
    device,
    events,
    applicationId: job.applications[0]?.id ?? '',
    post: (list: readonly NewRunEvent[]) =>
      client.post(`/crew/applications/${job.applications[0]?.id}/events`, { events: list }),
  }
}

describe('carrying out', () => {
  const begun = (device: string, amount: number): readonly NewRunEvent[] => {
    const product = documentOf(newJob()).products[0]!.id
    const seen = {
      coreVersion: CORE_VERSION,
      sizeM2: 360,
      products: [{ id: product, amount: { value: amount, unit: 'lb' as const } }],
      loads: 0,
      stops: ['Wind of 12 mph is over the house limit.'],
    }
    return [
      { kind: 'planned', ...stamp(1, device), payload: { seen } },
      { kind: 'started', ...stamp(2, device) },
    ]
  }

  test('a run of a phone, every step of it, is one record that knows its notes', async () => {
    const run = await runJob(newJob())
    const events = carriedRun(uuid(), documentOf(newJob()).products[0]!.id)
    expect((await run.post(events)).body).toMatchObject({
      record: {
        state: 'done',
        gaps: [],
        progress: {
          setting: { dial: '10.6' },
          checked: [{ share: 0.5 }],
          signed: [{ name: 'T. Arkwright' }],
        },
      },
    })
    expect(((await run.post(events)).body as Run).events).toHaveLength(events.length)
  })

  test('begun without a network on two phones: one plan; what each phone went by is kept', async () => {
    const run = await runJob(newJob())
    const [one, two] = [uuid(), uuid()]
    expect(await run.post(begun(one, 20))).toMatchObject({
      status: 200,
      body: { record: { state: 'running', frozen: { seen: { products: [{ amount: { value: 20 } }] } } } },
    })
    expect((await run.post(begun(two, 21))).status).toBe(200)
    const { events } = (await client.get(`/crew/applications/${run.applicationId}/events`)).body as Run
    const plans = events.flatMap((event) => (event.kind === 'planned' ? [event.payload.plan] : []))
    expect(plans).toHaveLength(2)
    expect(plans[0]).toEqual(plans[1])
    // Without that a second beginning is refused as ever.
    expect(codeOf((await run.post([{ kind: 'planned', ...stamp(3, two) }])).body)).toBe('locked')
  })

  test('notes that come late are added; a second end is not, and says so', async () => {
    const run = await runJob(newJob())
    await run.post(run.events)
    const late = uuid()
    const note: NewRunEvent = { kind: 'noted', ...stamp(1, late), payload: { words: 'hopper dripped' } }
    expect((await run.post([note])).body).toMatchObject({
      record: { state: 'done', progress: { notes: [{ words: 'hopper dripped' }] } },
    })
    const used = run.events.find(({ kind }) => kind === 'used')!
    expect(codeOf((await run.post([{ ...used, ...stamp(2, late) }])).body)).toBe('locked')
  })

  test('an extra strip is ground of its own in the ledger, and not on the planned lawns', async () => {
    const run = await runJob(newJob())
    const strip = uuid()
    const [planned, started, ...rest] = run.events
    await run.post([
      planned!,
      started!,
      {
        kind: 'strip',
        ...stamp(9, uuid()),
        payload: {
          id: strip,
          name: 'by the gate',
          size: { value: 200, unit: 'ft2' },
          amount: { value: 0.5, unit: 'lb' },
        },
      },
      ...rest,
    ])
    const { rows } = await query(
      served.databaseUrl,
      'SELECT area_id, amount, size_m2 FROM laid_down WHERE application_id = $1',
      [run.applicationId],
    )
    // Half a pound is 0.2268 kg; 200 ft2 are 18.58 m2.
    expect(rows.find(({ area_id }) => area_id === strip)).toMatchObject({
      amount: expect.closeTo(0.226796, 5),
      size_m2: expect.closeTo(18.5806, 3),
    })
    const others = rows.filter(({ area_id }) => area_id !== strip)
    const sum = others.reduce((total, { amount }) => total + Number(amount), 0)
    // 16.35 lb put in, 3 left and half a pound on the strip: 12.85 lb are 5.8287 kg.
    expect(sum).toBeCloseTo(5.8287, 3)
  })

  const field = (unit: string) => ({ text: '', unit })
  const answers = { people: 'no', bees: '', notices: '', equipment: '', gear: '', label: '' }
  const againstStop = {
    decision: 'go',
    readings: {
      ...{ wind: field('mph'), gust: field('mph'), air: field('°F'), soil: field('°F') },
      ...{
        rainIn: field('h'),
        rained: field('in'),
        leaf: '',
        ground: '',
        mown: field('h'),
        answers,
        from: '',
      },
    },
    findings: [{ subject: 'people', level: 'stop', source: 'safety', message: 'People are on the lawn.' }],
    unread: [],
    reason: ' ',
  }
  test.each<[string, unknown, string]>([
    ['a stop passed without a reason', { kind: 'gate', payload: againstStop }, 'invalid'],
    [
      'a product of another run',
      { kind: 'measured', payload: { load: 0, productId: uuid(), amount: { value: 1, unit: 'lb' } } },
      'invalid',
    ],
    ['a step of no run', { kind: 'stepped', payload: { step: '../x', done: 'yes' } }, 'invalid'],
    ['a mark that is no path', { kind: 'signed', payload: { name: 'T.', mark: '<script>' } }, 'invalid'],
  ])('refused with its reason: %s', async (_, body, code) => {
    const run = await runJob(newJob())
    await run.post(run.events.slice(0, 2))
    const sent = { ...(body as object), ...stamp(1, uuid()) } as NewRunEvent
    expect(codeOf((await run.post([sent])).body)).toBe(code)
  })
})

describe('running', () => {
  test(
    'a job whose label came from a shelf that is not there is still run and recorded, and nothing is ' +
      'booked',
    async () => {
      if (!sample) throw new Error('no sample job')
      const run = await runJob(newJob({ applications: [{ id: uuid(), document: sample.document }] }))
      expect(await run.post(run.events)).toMatchObject({ status: 200, body: { record: { state: 'done' } } })
      const { rows } = await query(
        served.databaseUrl,
        'SELECT count(*)::int AS n FROM stock_movements WHERE application_id = $1',
        [run.applicationId],
      )
      expect(rows[0]?.n).toBe(0)
    },
  )

  test('an application whose plan is frozen can’t be taken out of its job', async () => {
    const second = { id: uuid(), document: documentOf(newJob()) }
    const job = newJob()
    const run = await runJob({ ...job, applications: [...job.applications, second] })
    await run.post(run.events.slice(0, 1))
    expect(
      codeOf((await client.put(`/crew/jobs/${run.id}`, { ...job, version: 1, applications: [second] })).body),
    ).toBe('locked')
    expect((await client.put(`/crew/jobs/${run.id}`, { ...job, version: 1 })).status).toBe(200)
  })

  test('start freezes the plan, the outcome makes the record, a repeat changes nothing', async () => {
    const run = await runJob(newJob())
    expect(await run.post(run.events.slice(0, 2))).toMatchObject({
      status: 200,
      body: { record: { state: 'running', frozen: { coreVersion: CORE_VERSION, site: 'Cooperage Row' } } },
    })
    expect(
      codeOf((await client.put(`/crew/jobs/${run.id}`, newJob({ version: 1, site: 'changed' }))).body),
    ).toBe('locked')
    // What was shown when it began goes with the job from then on.
    expect((await client.get(`/crew/jobs/${run.id}`)).body).toMatchObject({
      applications: [
        {
          state: 'running',
          frozen: { worked: { dial: { setting: expect.any(String) } } },
        },
      ],
    })
    const done = await run.post(run.events)
    expect(done.body).toMatchObject({ record: { state: 'done', outcomes: [{ verdict: 'good' }], gaps: [] } })
    expect((await run.post(run.events)).body).toEqual(done.body)
    expect(((await client.get(`/crew/jobs/${run.id}`)).body as Job).state).toBe('done')
    const records = (await client.get('/crew/records')).body as RecordPage
    const applicationId = (done.body as Run).applicationId
    expect(records.rows.find(({ id }) => id === applicationId)).toMatchObject({
      verdict: 'good',
      site: 'Cooperage Row',
    })
  })

  test('an event is stored and counted, or refused with the reason', async () => {
    const run = await runJob(newJob())
    await run.post(run.events.slice(0, 2))
    const [, , used, finished] = run.events as [NewRunEvent, NewRunEvent, NewRunEvent, NewRunEvent]
    // The same place in the device's sequence with another id; the id with other content.
    const twin = { ...used, id: uuid(), sequence: 2 }
    expect(codeOf((await run.post([twin])).body)).toBe('taken')
    expect(codeOf((await run.post([{ ...finished, id: run.events[0]?.id ?? '' }])).body)).toBe('taken')
    // An id known from another run.
    const other = await runJob(newJob())
    await other.post(other.events.slice(0, 2))
    expect(codeOf((await other.post([{ ...used, sequence: 9 }, run.events[0]!])).body)).toBe('taken')
    expect((await run.post([used, used, finished])).status).toBe(200)
    // A second tab puts the same run on record, with other figures: refused, and both sides agree still.
    const late = await run.post([
      {
        ...used,
        ...stamp(1, uuid()),
        payload: { ...(used.kind === 'used' && used.payload), left: { value: 9, unit: 'lb' } },
      } as NewRunEvent,
      { ...finished, ...stamp(2, uuid()) },
    ])
    expect(late).toMatchObject({ status: 409, body: { error: { code: 'locked' } } })
    const read = (await client.get(`/crew/applications/${run.applicationId}/events`)).body as Run
    expect(read.events).toHaveLength(4)
    const { rows } = await query(
      served.databaseUrl,
      `SELECT document FROM records WHERE id = '${run.applicationId}'`,
    )
    expect((rows[0] as { document: Run['record'] }).document?.used).toEqual(read.record?.used)
    expect(read.record?.used?.left.value).toBe(3)
  })

  test('a wrong clock passes no interval: the server’s time counts and the skew is told', async () => {
    const run = await runJob(newJob())
    const ahead = { at: '2031-06-01T12:00:00.000Z' }
    const events = run.events.map((event) => ({ ...event, ...ahead }))
    const begun = (await run.post(events.slice(0, 2))).body as Run
    expect(Date.parse(begun.events[0]?.at ?? '')).toBeLessThanOrEqual(Date.now())
    expect(begun.events[0]).toMatchObject({ deviceAt: ahead.at })
    expect(begun.record?.skew).toMatch(/ahead/)
    // Finished an hour before it was started: refused, nothing of it stored.
    const early = events
      .slice(2)
      .map((event) => ({ ...event, at: new Date(Date.now() - 3_600_000).toISOString() }))
    expect(codeOf((await run.post(early)).body)).toBe('invalid')
    const done = await client.post(`/crew/applications/${run.applicationId}/events`, {
      events: events.slice(2),
      sentAt: ahead.at,
    })
    expect(done).toMatchObject({ status: 200, body: { record: { state: 'done' } } })
  })

  test('what is found tells the crew’s own day, not that of Greenwich', async () => {
    const run = await runJob(newJob({ site: 'Lantern Terrace' }))
    await run.post(run.events)
    await query(
      served.databaseUrl,
      `UPDATE organizations SET time_zone = 'America/Chicago' WHERE name = 'A crew of one'`,
    )
    await query(
      served.databaseUrl,
      `UPDATE records SET finished_at = '2026-05-07T03:00:00Z' WHERE id = '${run.applicationId}'`,
    )
    const found = (await client.get('/crew/find?q=lantern')).body as readonly { kind: string; day: string }[]
    expect(found.find(({ kind }) => kind === 'record')?.day).toBe('2026-05-06')
  })

  test('a refused plan stays a draft that goes on saving', async () => {
    const sheet = documentOf(newJob())
    const products = sheet.products.map((one) => ({ ...one, rate: { ...one.rate, text: '9.9' } }))
    const id = uuid()
    const draft = newJob({ state: 'draft', applications: [{ id: uuid(), document: { ...sheet, products } }] })
    await client.put(`/crew/jobs/${id}`, draft)
    expect(
      codeOf((await client.put(`/crew/jobs/${id}`, { ...draft, version: 1, state: 'planned' })).body),
    ).toBe('not-ready')
    const later = await client.put(`/crew/jobs/${id}`, { ...draft, version: 1, purpose: 'typed after it' })
    expect(later).toMatchObject({
      status: 200,
      body: { state: 'draft', purpose: 'typed after it', version: 2 },
    })
  })

  test('a correction is an addition: the record follows, the first entry stays', async () => {
    const run = await runJob(newJob())
    await run.post(run.events)
    const corrected = await run.post([
      {
        kind: 'corrected',
        ...stamp(5, run.device),
        payload: { field: 'left', now: { value: 5, unit: 'lb' }, reason: 'wrong scale' },
      },
    ])
    expect(corrected.body).toMatchObject({
      record: {
        corrections: [{ field: 'left', was: { value: 3 }, now: { value: 5 } }],
        outcomes: [{ verdict: 'off' }],
      },
    })
    expect(
      (
        await run.post([
          { kind: 'corrected', ...stamp(6, run.device), payload: { field: 'by', now: 'x', reason: ' ' } },
        ])
      ).status,
    ).toBe(400)
    await expect(query(served.databaseUrl, 'UPDATE run_events SET counter = 9')).rejects.toThrow(
      'append-only',
    )
    await expect(query(served.databaseUrl, 'DELETE FROM run_events')).rejects.toThrow('append-only')
  })

  test('contradictions are refused and nothing of them is stored', async () => {
    const run = await runJob(newJob(), 99)
    expect((await run.post([run.events[3] as NewRunEvent])).status).toBe(400)
    await run.post(run.events.slice(0, 2))
    expect((await run.post(run.events.slice(2))).body).toMatchObject({
      error: { code: 'invalid', issues: [{ path: 'left' }] },
    })
    expect(
      ((await client.get(`/crew/applications/${run.applicationId}/events`)).body as Run).events,
    ).toHaveLength(2)
    const product = documentOf(newJob()).products.map((one) => ({
      ...one,
      rate: { ...one.rate, text: '9.9' },
    }))
    const over = await runJob(
      newJob({
        state: 'draft',
        applications: [{ id: uuid(), document: { ...documentOf(newJob()), products: product } }],
      }),
    )
    expect(codeOf((await over.post(over.events.slice(0, 2))).body)).toBe('not-ready')
  })
})

test('records page by their place, each once', async () => {
  for (let i = 0; i < 3; i++) {
    const run = await runJob(
      newJob({ site: 'Paged', applications: [{ id: uuid(), document: documentOf(newJob()) }] }),
    )
    await run.post(run.events)
  }
  await query(
    served.databaseUrl,
    'INSERT INTO applications SELECT organization_id, gen_random_uuid(), job_id, position + n, ' +
      'document FROM applications, generate_series(1, 60) n WHERE job_id = (SELECT job_id FROM ' +
      `records WHERE site = 'Paged' LIMIT 1)`,
  )
  await query(
    served.databaseUrl,
    'INSERT INTO records (organization_id, id, job_id, site, products, finished_at, size_m2, verdict, ' +
      'document) SELECT a.organization_id, a.id, a.job_id, r.site, r.products, r.finished_at, r.size_m2, ' +
      'r.verdict, r.document FROM applications a JOIN records r ON r.job_id = a.job_id WHERE a.position ' +
      '> 1',
  )
  const seen: string[] = []
  let next: string | null = ''
  while (next !== null) {
    const page = (await client.get(`/crew/records${next ? `?after=${next}` : ''}`)).body as RecordPage
    seen.push(...page.rows.map(({ id }) => id))
    next = page.next
  }
  expect(new Set(seen).size).toBe(seen.length)
  expect(seen.length).toBeGreaterThanOrEqual(63)
  expect((await client.get('/crew/records?after=nonsense')).status).toBe(400)
})

test('nothing of one crew can be seen or written by another', async () => {
  const run = await runJob(newJob())
  const done = (await run.post(run.events)).body as Run
  for (const path of [
    `/crew/jobs/${run.id}`,
    `/crew/applications/${run.applicationId}/events`,
    `/crew/records/${done.applicationId}`,
  ])
    expect((await other.get(path)).status, path).toBe(404)
  expect(
    (await other.post(`/crew/applications/${run.applicationId}/events`, { events: run.events })).status,
  ).toBe(404)
  expect((await other.get('/crew/jobs')).body).toEqual({ rows: [], next: null })
  expect((await other.put(`/crew/jobs/${run.id}`, newJob())).status).toBe(200)
  expect(((await client.get(`/crew/jobs/${run.id}`)).body as Job).state).toBe('done')
})

test('foreign pages, rebound names and plain forms can write nothing', async () => {
  const job = newJob()
  const path = `/crew/jobs/${uuid()}`
  expect((await client.put(path, job, { origin: 'http://elsewhere.example' })).status).toBe(403)
  expect((await client.put(path, job, { 'sec-fetch-site': 'cross-site' })).status).toBe(403)
  expect((await client.put(path, job, { 'content-type': 'text/plain' })).status).toBe(415)
  const rebound = await new Promise<number>((resolve) => {
    const { port } = new URL(served.url)
    request(
      { host: '127.0.0.1', port, path: '/api/organizations', headers: { host: 'evil.example' } },
      (answer) => resolve(answer.statusCode ?? 0),
    ).end()
  })
  expect(rebound).toBe(403)
  expect((await client.get('/crew/jobs/not-an-id')).status).toBe(404)
  expect((await client.get('/api/unheard-of')).body).toMatchObject({ error: { code: 'not-found' } })
})

test('a connection killed in the middle of a save leaves the old row whole', async () => {
  const id = uuid()
  const job = newJob()
  await client.put(`/crew/jobs/${id}`, job)
  const blocker = new pg.Client({ connectionString: served.databaseUrl })
  await blocker.connect()
  await blocker.query('BEGIN')
  await blocker.query('SELECT 1 FROM applications WHERE job_id = $1 FOR UPDATE', [id])
  const save = client.put(`/crew/jobs/${id}`, { ...job, version: 1, site: 'half written' })
  await expect
    .poll(
      async () =>
        (
          await query(
            served.databaseUrl,
            `SELECT count(*)::int AS n FROM pg_stat_activity WHERE wait_event_type = 'Lock' AND ` +
              'datname = current_database()',
          )
        ).rows[0]?.n,
      { timeout: 5000 },
    )
    .toBeGreaterThan(0)
  await query(
    served.databaseUrl,
    `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE wait_event_type = 'Lock' AND datname ` +
      '= current_database()',
  )
  expect((await save).status).toBe(503)
  await blocker.query('ROLLBACK')
  await blocker.end()
  expect((await client.get(`/crew/jobs/${id}`)).body as Job).toMatchObject({
    version: 1,
    site: 'Cooperage Row',
  })
  expect((await client.put(`/crew/jobs/${id}`, { ...job, version: 1, site: 'whole' })).status).toBe(200)
})
