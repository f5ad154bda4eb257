import { setTimeout as wait } from 'node:timers/promises'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, expect, test, vi } from 'vitest'
import { sampleCrew } from '../../demo/sampleCrew'
import type { ErrorBody } from '../../shared/errorCodes'
import type { NewRunEvent, Run } from '../../shared/schemas/run'
import { clientOf, type Answer, type Client } from '../support/client'
import { documents } from '../support/hostile'
import { query, serve } from '../support/serve'
import type { Served } from '../support/server'
import { aSite } from '../support/rows'

/** `npm run torture` goes round this many times oftener than `npm test` does. */
const TIMES = Number(process.env.HECTARUM_TORTURE ?? 1)
vi.setConfig({ testTimeout: 180_000 * TIMES })

let served: Served
let client: Client
beforeAll(async () => {
  served = await serve()
  client = clientOf(served.url)
  await client.post('/api/organizations', { id: uuid(), name: 'A crew on the rack', units: 'us-1000' })
})
afterAll(() => served.stop())

/** What no answer may be, and what every refusal is: of the one form, with a reason. */
function expectOurs({ status, body }: Answer, told: string): void {
  expect(status, told).not.toBe(500)
  if (status >= 400) expect((body as ErrorBody).error.issues[0]?.message, told).toBeTruthy()
}

test('hostile bodies over every room: refused with a reason or kept to the letter, never a 500', async () => {
  let sent = 0
  for (const { path, body } of documents(400 * TIMES)) {
    const id = uuid()
    const answer = await client.put(`/crew/${path}/${id}`, body)
    expectOurs(answer, `${path} ${body.slice(0, 300)}`)
    if (answer.status === 200 && path !== 'jobs') {
      const { body: back } = await client.get(`/crew/${path}/${id}`)
      expect(back, path).toMatchObject({
        document: (JSON.parse(body) as { document: unknown }).document as object,
      })
    }
    sent++
  }
  expect(sent).toBe(400 * TIMES)
  // The log tells codes and places; what people typed is not in it.
  expect(served.log()).not.toContain('Cooperage')
})

const NASTY = [
  '%00',
  '%ED%A0%80',
  '99999999999999999999',
  '-1',
  '{}',
  "'; DROP TABLE jobs; --",
  'NaN',
  '0000-00-00',
]

test('hostile addresses: every list and page, every word of its query', async () => {
  const cursor = (at: string) => Buffer.from(JSON.stringify({ at, id: uuid() })).toString('base64url')
  const values = [
    ...NASTY,
    cursor('0000-01-01'),
    cursor('+275760-09-13'),
    cursor('a\0b'),
    cursor('9999-99-99'),
  ]
  for (const path of [
    'jobs',
    'sites',
    'records',
    'records/export',
    'find',
    'products/file',
    'library/products',
  ])
    for (const value of values)
      for (const name of ['q', 'after', 'from', 'to', 'siteId', 'verdict', 'sort', 'limit', 'format']) {
        const answer = await fetch(await client.address(`/crew/${path}?${name}=${encodeURI(value)}`))
        expect(answer.status, `${path} ${name}=${value}`).not.toBe(500)
        await answer.arrayBuffer()
      }
  for (const value of values)
    for (const path of [
      `days/${value}`,
      `jobs/${value}`,
      `sites/${value}/map`,
      `library/${value}/${value}`,
      `applications/${value}/events`,
    ])
      expectOurs(await client.get(`/crew/${encodeURI(path)}`), path)
})

test('the same first save twice at once is one; another with its id is told what stands there', async () => {
  for (let i = 0; i < 15 * TIMES; i++) {
    const id = uuid()
    const put = (name: string) => client.put(`/crew/library/sites/${id}`, aSite(name))
    const equal = await Promise.all([put('One'), put('One'), put('One')])
    expect(equal.map(({ status }) => status)).toEqual([200, 200, 200])
    const other = uuid()
    const unequal = await Promise.all(
      ['A', 'B'].map((name) => client.put(`/crew/library/sites/${other}`, aSite(name))),
    )
    expect(unequal.map(({ status }) => status).toSorted()).toEqual([200, 409])
  }
})

test('opposite orders at once: no deadlock reaches anybody', async () => {
  const { siteId, ids } = await siteOf(6)
  const order = async (list: readonly string[]) =>
    Promise.all(
      list.map(async (id, position) => {
        const { body } = await client.get(`/crew/library/areas/${id}`)
        return client.put(`/crew/library/areas/${id}`, { ...entered(body), siteId, position })
      }),
    )
  for (let i = 0; i < 4 * TIMES; i++) {
    const answers = (await Promise.all([order(ids), order([...ids].reverse())])).flat()
    for (const answer of answers) expect([200, 409]).toContain(answer.status)
  }
})

test('connections killed under events: what was acknowledged is stored once, the record agrees', async () => {
  const job = sampleCrew().jobs.find(({ purpose }) => purpose === 'Spring feed, front strips')
  const document = job?.applications[0]?.document
  if (!document) throw new Error('the sample has no such job')
  const own = {
    ...document,
    lawns: document.lawns.map(({ source: _, ...lawn }) => lawn),
    products: document.products.map(({ source: _, ...product }) => product),
    spread: {
      ...document.spread,
      source: undefined,
      calibration: { ...document.spread.calibration, source: undefined },
    },
  }
  let stopped = false
  const killer = (async () => {
    while (!stopped) {
      await query(
        served.databaseUrl,
        `SELECT pg_terminate_backend(pid) FROM pg_stat_activity
         WHERE datname = current_database() AND pid <> pg_backend_pid()`,
      )
      await wait(25 + Math.random() * 60)
    }
  })()
  try {
    for (let i = 0; i < 6 * TIMES; i++) {
      const [id, applicationId, device] = [uuid(), uuid(), uuid()]
      const save = {
        version: 0,
        site: 'Kept',
        siteId: null,
        purpose: '',
        plannedFor: '',
        state: 'draft',
        applications: [{ id: applicationId, document: own }],
      }
      await until(() => client.put(`/crew/jobs/${id}`, save))
      const acknowledged: string[] = []
      for (const event of eventsOf(own.products[0]?.id ?? '', device)) {
        await until(() => client.post(`/crew/applications/${applicationId}/events`, { events: [event] }))
        acknowledged.push(event.id)
      }
      const read = (await until(() => client.get(`/crew/applications/${applicationId}/events`))).body as Run
      expect(read.events.map((event) => event.id)).toEqual(acknowledged)
      const record = (await until(() => client.get(`/crew/records/${applicationId}`))).body as Run
      expect(record.record?.used).toEqual(read.record?.used)
    }
  } finally {
    stopped = true
    await killer
  }
})

/** What the server noted of its failures. */
const failures = () =>
  served
    .log()
    .split('\n')
    .filter((line) => /^Failure|^ {4}at /.test(line))
    .join('\n')

/** Sends again until it is answered: by a network or a database that goes away only 503 is a reason to. */
async function until(send: () => Promise<Answer>): Promise<Answer> {
  for (let tries = 0; ; tries++) {
    const answer = await send().catch((error: unknown) => {
      // The test's own look at the crew met the kill; the server answered, but not with a crew.
      if (error instanceof TypeError) return undefined
      throw error
    })
    if (answer && answer.status < 300) return answer
    if (answer) expect(answer, JSON.stringify(answer.body) + failures()).toMatchObject({ status: 503 })
    if (tries > 200) throw new Error('never answered')
    await wait(10)
  }
}

function eventsOf(productId: string, deviceId: string): readonly NewRunEvent[] {
  const stamp = (sequence: number) => ({
    id: uuid(),
    deviceId,
    sequence,
    counter: sequence,
    at: '2026-05-06T12:00:00.000Z',
  })
  return [
    { kind: 'planned', ...stamp(1) },
    { kind: 'started', ...stamp(2) },
    {
      kind: 'used',
      ...stamp(3),
      payload: {
        treated: { value: 3930, unit: 'ft2' },
        putIn: [{ productId, amount: { value: 16.35, unit: 'lb' } }],
        left: { value: 3, unit: 'lb' },
      },
    },
    {
      kind: 'finished',
      ...stamp(4),
      payload: { by: 'T. A.', licence: '', target: '', weather: '', remarks: '' },
    },
  ]
}

const entered = (row: unknown) => {
  const { version, name, document } = row as { version: number; name: string; document: object }
  return { version, name, document }
}

async function siteOf(areas: number): Promise<{ siteId: string; ids: readonly string[] }> {
  const { anArea } = await import('../support/rows')
  const siteId = uuid()
  await client.put(`/crew/library/sites/${siteId}`, aSite())
  const ids = Array.from({ length: areas }, () => uuid())
  for (const id of ids) await client.put(`/crew/library/areas/${id}`, anArea(siteId))
  return { siteId, ids }
}
