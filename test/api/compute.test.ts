import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { clientOf, type Client } from '../support/client'
import { figure, readTable } from '../support/readTable'
import { serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
let client: Client
beforeAll(async () => {
  served = await serve()
  client = clientOf(served.url)
})
afterAll(() => served.stop())

const ROUTES = ['measure', 'calibrate', 'pattern', 'curve', 'nozzles', 'season', 'lanes', 'coverage'] as const
const errorOf = (body: unknown) =>
  (body as { error: { code: string; issues: { path: string; message: string; at?: [number, number] }[] } })
    .error
const at = (node: unknown, path: string): unknown =>
  path.split('.').reduce((inner, key) => (inner as Record<string, unknown>)?.[key], node)

test.each(readTable('compute.csv', import.meta.url))('$route, $name: $words', async (row) => {
  const { status, body } = await client.post(`/api/${row.route}`, JSON.parse(row.body ?? ''))
  expect(status, JSON.stringify(body)).toBe(200)
  const wanted = figure(row, 'value')
  expect(Math.abs((at(body, row.path ?? '') as number) - wanted)).toBeLessThanOrEqual(
    1e-5 * Math.abs(wanted) + 1e-12,
  )
  expect(at(body, 'working.0.lines.0')).toEqual(expect.any(String))
})

const box = (x: number, y: number, size: number) => [
  [x, y],
  [x + size, y],
  [x + size, y + size],
  [x, y + size],
]
const outline = (sign: string, points: unknown) => ({ sign, shape: 'outline', points })

describe('ground that is refused or odd', () => {
  test('a crossing is told with its place, and so is a triangle that can’t close', async () => {
    const bow = [
      [0, 0],
      [10, 10],
      [10, 0],
      [0, 10],
    ]
    const { status, body } = await client.post('/api/measure', { parts: [outline('add', bow)] })
    expect(status).toBe(422)
    expect(errorOf(body)).toMatchObject({
      code: 'crosses-itself',
      issues: [{ path: 'parts.0.points', at: [5, 5] }],
    })
    const m = (value: number) => ({ value, unit: 'm' })
    const open = { sign: 'add', shape: 'three sides', first: m(1), second: m(2), third: m(4) }
    expect(errorOf((await client.post('/api/measure', { parts: [open] })).body)).toMatchObject({
      code: 'impossible',
    })
  })

  test('strays and overlaps are told and counted once', async () => {
    const parts = [
      outline('add', box(0, 0, 10)),
      outline('subtract', box(8, 8, 4)),
      outline('subtract', box(20, 20, 2)),
      outline('subtract', box(9, 7, 2)),
    ]
    const { body } = await client.post('/api/measure', { parts })
    // 100 less the 2 x 2 corner, less what the last takes beside it: 1 x 1 below the corner.
    expect(body).toMatchObject({ net: { value: expect.closeTo(95, 6) } })
    const codes = (body as { problems: { part: number; code: string }[] }).problems.map(
      ({ part, code }) => `${part} ${code}`,
    )
    expect(codes.toSorted()).toEqual(['1 crosses-outline', '2 outside', '3 crosses-outline', '3 overlap'])
  })

  test('two crossing combs of a thousand corners are refused before they are cut', async () => {
    const comb = (turn: boolean) =>
      Array.from({ length: 250 }, (_, i) => [
        [4 * i, 0],
        [4 * i, 1000],
        [4 * i + 2, 1000],
        [4 * i + 2, -1],
      ])
        .flat()
        .concat([
          [998, -2],
          [0, -2],
        ])
        .map(([x = 0, y = 0]) => (turn ? [y, x] : [x, y]))
    const begun = Date.now()
    const { status, body } = await client.post('/api/measure', {
      parts: [outline('add', comb(false)), outline('add', comb(true))],
    })
    expect([status, errorOf(body).code]).toEqual([422, 'too-complex'])
    expect(Date.now() - begun).toBeLessThan(10_000)
  })
})

test('lanes say why; crossing ground is told with its place, ground that is none is refused', async () => {
  const m = (value: number) => ({ value, unit: 'm' })
  const request = {
    outline: box(0, 0, 30),
    exclusions: [box(10, 10, 4)],
    width: m(3),
    headers: 1,
    passes: 2,
    speed: { value: 1.4, unit: 'm/s' },
  }
  const { status, body } = await client.post('/api/lanes', request)
  expect(status).toBe(200)
  const { passes, reasons } = body as { passes: { direction: number }[]; reasons: string[] }
  expect(passes.map(({ direction }) => direction)).toHaveLength(2)
  expect((passes[1]!.direction - passes[0]!.direction + 360) % 180).toBe(90)
  expect(reasons[0]).toMatch(/^Direction /)
  const bow = [
    [0, 0],
    [10, 10],
    [10, 0],
    [0, 10],
  ]
  const crossed = await client.post('/api/lanes', { ...request, exclusions: [box(1, 1, 1), bow] })
  expect(crossed.status).toBe(422)
  expect(errorOf(crossed.body)).toMatchObject({
    code: 'crosses-itself',
    issues: [{ path: 'exclusions.1', at: [5, 5] }],
  })
  const covered = { ...request, exclusions: [box(-1, -1, 40)] }
  expect(errorOf((await client.post('/api/lanes', covered)).body).code).toBe('impossible')
})

test('coverage keeps what is thrown, the same for the same seed, and names its cell', async () => {
  const m = (value: number) => ({ value, unit: 'm' })
  const request = {
    outline: box(0, 0, 30),
    width: m(3),
    headers: 1,
    passes: 2,
    speed: { value: 1.4, unit: 'm/s' },
    profile: { spacing: m(1), catches: [1, 2, 3, 2, 1] },
    rate: { value: 3, unit: 'fl oz/1000 ft2' },
    cell: m(0.1),
    seed: 4_294_967_295,
    wander: m(0.15),
    speedSd: 0.05,
    lag: m(0.3),
  }
  type Answer = Record<'thrown' | 'onLawn' | 'offLawn', { value: number; unit: string }> & {
    histogram: { share: number }[]
    cell: number
  }
  const first = (await client.post('/api/coverage', request)).body as Answer
  expect(first.onLawn.value + first.offLawn.value).toBeCloseTo(first.thrown.value, 9)
  expect(first.thrown.unit).toBe('L')
  expect(first.cell).toBe(0.1)
  expect(first.histogram.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9)
  expect((await client.post('/api/coverage', request)).body).toEqual(first)
  expect((await client.post('/api/coverage', { ...request, seed: 4_294_967_296 })).status).toBe(400)
})

test('what contradicts itself or says too little has its own code and path', async () => {
  const lb = (value: number) => ({ value, unit: 'lb' })
  const course = { length: { value: 100, unit: 'ft' }, width: { value: 10, unit: 'ft' } }
  const runs = [{ start: lb(3), left: lb(4) }]
  const left = await client.post('/api/calibrate', {
    kind: 'spreader',
    method: 'known area',
    ...course,
    runs,
  })
  expect(errorOf(left.body)).toMatchObject({ code: 'contradicts', issues: [{ path: 'runs.0.left' }] })
  const points = [
    { setting: 10, flow: { value: 20, unit: 'g/s' }, ageDays: 0 },
    { setting: 12, flow: { value: 30, unit: 'g/s' }, ageDays: 0 },
  ]
  const ask = { setting: 15, speed: { value: 1, unit: 'm/s' }, width: { value: 2, unit: 'm' } }
  expect(errorOf((await client.post('/api/curve', { points, ask })).body).code).toBe('not-enough')
  const turned = [...points, { setting: 11, flow: { value: 60, unit: 'g/s' }, ageDays: 0 }]
  const within = { ...ask, setting: 11 }
  expect(errorOf((await client.post('/api/curve', { points: turned, ask: within })).body).code).toBe(
    'contradicts',
  )
  const dry = {
    catches: [{ value: 0, unit: 'L' }],
    time: { value: 1, unit: 'min' },
    spacing: { value: 20, unit: 'in' },
  }
  expect(errorOf((await client.post('/api/nozzles', dry)).body).code).toBe('not-enough')
})

test('a label is read: rates, limits, what is asked and what is left, each with its place', async () => {
  const text =
    'Dollar spot: 1-1/2 fl oz per 1,000 sq ft every 14 to 21 days. Do not exceed 6 fl oz per 1,000 ' +
    'sq ft per calendar year. Keep off until dry. Brown patch: 2 oz per 1,000 sq ft.'
  const { status, body } = await client.post('/api/read-label', { text, form: 'liquid' })
  expect({ status, body }).toMatchObject({
    status: 200,
    body: {
      lines: [
        {
          rate: { value: 1.5, unit: 'fl oz/1000 ft2' },
          basis: 'product',
          repeatFrom: { value: 14, unit: 'd' },
          repeatTo: { value: 21, unit: 'd' },
          mostPerYear: { rate: { value: 6, unit: 'fl oz/1000 ft2' }, basis: 'product' },
          period: 'calendar-year',
          target: 'dollar spot',
        },
        { target: 'brown patch' },
      ],
      asks: [{ text: '2 oz per 1,000 sq ft' }],
      notUnderstood: [
        { text: 'Keep off until dry', from: [[text.indexOf('Keep'), text.indexOf('. Brown')]] },
      ],
    },
  })
  expect((await client.post('/api/read-label', { text: '', form: 'liquid' })).status).toBe(400)
  expect((await client.post('/api/read-label', { text: 'x', form: 'gas' })).status).toBe(400)
})

test('a season: lines end by heat units, windows stand by grass, what is absurd is refused', async () => {
  const degrees = (value: number) => ({ value, unit: 'C' })
  const days = Array.from({ length: 31 }, (_, i) => ({
    on: `2026-05-${String(i + 1).padStart(2, '0')}`,
    min: degrees(10),
    max: degrees(20),
    forecast: i > 6,
  }))
  const request = {
    latitude: { value: 40, unit: 'deg' },
    grass: ['creeping bentgrass'],
    today: '2026-05-20',
    days,
    applications: [
      { on: '2026-05-01', kind: 'growth regulator', active: 'trinexapac-ethyl', lastsDays: 28 },
      { on: '2026-05-01', kind: 'fungicide', lastsDays: 14 },
      { on: '2026-05-19', kind: 'fungicide' },
    ],
    ask: ['heatUnits', 'windows', 'lines'],
  }
  const { body } = await client.post('/api/season', request)
  expect(body).toMatchObject({
    heatUnits: [{ since: '2026-05-01', base: 0, sum: 285, threshold: 200, due: '2026-05-15' }],
    lines: [
      { from: '2026-05-01', to: '2026-05-15', what: 'growth regulator', gapTo: '2026-05-20' },
      { from: '2026-05-01', to: '2026-05-15', what: 'fungicide', gapTo: '2026-05-19' },
      { from: '2026-05-19', to: null, what: 'fungicide' },
    ],
  })
  expect((body as { windows: { name: string; state: string }[] }).windows).toContainEqual(
    expect.objectContaining({ name: 'spring pre-emergent', state: 'late' }),
  )
  const absurd = [...days.slice(1), { on: '2026-05-01', min: degrees(50), max: degrees(68) }]
  expect((await client.post('/api/season', { ...request, days: absurd })).body).toMatchObject({
    error: { code: 'impossible', issues: [{ path: 'days.30' }] },
  })
})

test('whatever is sent, the answer is one of ours and never a 500', async () => {
  const bodies = readTable('compute.csv', import.meta.url).map(
    (row) => [row.route, JSON.parse(row.body ?? '')] as const,
  )
  const odd = fc.oneof(
    fc.constantFrom(null, '', [], {}, -1, 0, 1e300, 1e-300, Number.MAX_SAFE_INTEGER, {
      value: 1e9,
      unit: 'ft',
    }),
    fc.jsonValue(),
  )
  await fc.assert(
    fc.asyncProperty(fc.constantFrom(...bodies), fc.nat(30), odd, async ([route, body], place, value) => {
      const keys = Object.keys(body)
      const sent = { ...body, [keys[place % keys.length] ?? 'x']: value }
      const { status, body: answer } = await client.post(`/api/${route}`, sent)
      expect([200, 400, 422]).toContain(status)
      if (status !== 200) expect(errorOf(answer).issues.length).toBeGreaterThan(0)
    }),
    { numRuns: 300 },
  )
})

test('unknown fields are refused, a body past a mebibyte is too large, all are described', async () => {
  const { paths } = (await client.get('/api/openapi.json')).body as { paths: Record<string, unknown> }
  for (const route of ROUTES) {
    expect(paths[`/api/${route}`]).toMatchObject({ post: { requestBody: { required: true } } })
    expect((await client.post(`/api/${route}`, { nobody: 1 })).status).toBe(400)
    expect((await client.post(`/api/${route}`, { pad: 'x'.repeat(1_100_000) })).status).toBe(413)
  }
})
