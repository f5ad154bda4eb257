import { readFileSync } from 'node:fs'
import { Validator } from '@seriousme/openapi-schema-validator'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { clientOf, type Client } from '../support/client'
import { serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
let client: Client
beforeAll(async () => {
  served = await serve()
  client = clientOf(served.url)
})
afterAll(() => served.stop())

const { version: RELEASE } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string }
const dry = {
  areas: [{ id: 'a1', name: 'Front strip', size: { value: 5870, unit: 'ft2' } }],
  products: [
    {
      id: 'p1',
      name: 'Slow-feed granule',
      rate: { value: 3.4, unit: 'lb/1000 ft2' },
      basis: 'product',
      analysis: { n: 21, p2o5: 0, k2o: 6, fe: 0, slowN: 60 },
      limits: { high: { value: 4.8, unit: 'lb/1000 ft2' } },
      measureStep: { value: 0.1, unit: 'lb' },
    },
  ],
  method: { kind: 'spread', passes: 2, reserve: { value: 3, unit: 'lb' } },
} as const
const errorOf = (body: unknown) =>
  (body as { error: { code: string; issues: { path: string; message: string }[] } }).error

test('health, and the log line with its time', async () => {
  expect(await client.get('/api/health')).toMatchObject({
    status: 200,
    body: { status: 'ok', version: RELEASE, database: 'ok' },
  })
  // Lines are written together, shortly after.
  await expect.poll(() => served.log()).toMatch(/GET \/api\/health 200 \d+\.\d ms/)
})

test('a plan comes back whole: figures, nulls, working', async () => {
  const { status, body } = await client.post('/api/plan', dry, { 'content-type': 'text/plain' })
  expect(status).toBe(200)
  expect(body).toMatchObject({
    areas: [
      {
        id: 'a1',
        carrier: null,
        products: [
          {
            amount: { value: expect.closeTo(19.958, 9), unit: 'lb' },
            perPass: { value: expect.closeTo(9.979, 9) },
          },
        ],
      },
    ],
    totals: {
      mix: null,
      products: [
        { charge: { value: expect.closeTo(22.958, 9) }, measured: { value: expect.closeTo(20, 9) } },
      ],
    },
    loads: [],
    checks: [],
    nutrients: { n: { value: expect.closeTo(0.714, 9), unit: 'lb/1000 ft2' } },
  })
  const figures = (body as { working: { figure: string }[] }).working.map(({ figure }) => figure)
  expect(figures).toEqual(
    expect.arrayContaining(['products.p1.amount', 'products.p1.measured', 'nutrients.n']),
  )
})

type Path = readonly (string | number)[]
const changed = (path: Path, value: unknown): unknown => {
  const copy = structuredClone(dry) as unknown as Record<string | number, unknown>
  const last = path.at(-1) ?? ''
  const holder = path
    .slice(0, -1)
    .reduce<Record<string | number, unknown>>(
      (node, step) => node[step] as Record<string | number, unknown>,
      copy,
    )
  if (value === undefined) Reflect.deleteProperty(holder, last)
  else holder[last] = value
  return copy
}

describe('what is refused, and where', () => {
  test.each<[string, Path, unknown, number, string]>([
    ['an unknown key', ['products', 0, 'colour'], 'green', 400, 'products.0.colour'],
    ['a string for a number', ['areas', 0, 'size', 'value'], '5870', 400, 'areas.0.size.value'],
    ['nothing to treat', ['areas'], [], 400, 'areas'],
    ['an unknown unit', ['products', 0, 'rate', 'unit'], 'lb/M', 400, 'products.0.rate.unit'],
    ['a size of nought', ['areas', 0, 'size', 'value'], 0, 400, 'areas.0.size.value'],
    ['half a pass', ['method', 'passes'], 1.5, 400, 'method.passes'],
    ['twenty-one passes', ['method', 'passes'], 21, 400, 'method.passes'],
    ['over a hundred per cent', ['products', 0, 'analysis', 'n'], 100.1, 400, 'products.0.analysis.n'],
    ['beyond a thousand million', ['areas', 0, 'size', 'value'], 1e9 + 1, 400, 'areas.0.size.value'],
    ['an id with a space', ['areas', 0, 'id'], 'a 1', 400, 'areas.0.id'],
    ['a null', ['products', 0, 'density'], null, 400, 'products.0.density'],
    ['another method', ['method', 'kind'], 'pour', 400, 'method.kind'],
    ['nutrient target without its nutrient', ['products', 0, 'basis'], 'fe', 422, 'products.0.analysis.fe'],
    [
      'a fluid limit without density',
      ['products', 0, 'limits', 'high', 'unit'],
      'fl oz/ac',
      422,
      'products.0.limits.high.unit',
    ],
  ])('%s', async (_, path, value, status, where) => {
    const answer = await client.post('/api/plan', changed(path, value))
    expect(answer.status).toBe(status)
    expect(errorOf(answer.body).issues[0]?.path).toBe(where)
    expect(errorOf(answer.body).issues[0]?.message.length).toBeGreaterThan(5)
  })

  test('a rate that is an own __proto__ is not let through', async () => {
    expect(
      (await client.post('/api/plan', JSON.stringify(dry).replace('"basis"', '"__proto__":{"x":1},"basis"')))
        .status,
    ).toBe(400)
  })

  test('too large comes first, chunked or not; at most fifty issues', async () => {
    const big = `{"x":"${'a'.repeat(1_048_577)}`
    expect(await client.post('/api/plan', big)).toMatchObject({
      status: 413,
      body: { error: { code: 'too-large' } },
    })
    const chunked = await fetch(`${served.url}/api/plan`, {
      method: 'POST',
      body: new Blob([big]).stream(),
      duplex: 'half',
    } as RequestInit)
    expect(chunked.status).toBe(413)
    const many = await client.post('/api/plan', { ...dry, areas: Array.from({ length: 400 }, () => ({})) })
    expect(many.status).toBe(400)
    expect(errorOf(many.body).issues).toHaveLength(50)
  })

  test('whatever is sent, the answer is 200, 400, 413 or 422 in the one form', async () => {
    const paths: Path[] = [
      ['areas'],
      ['products'],
      ['method'],
      ['areas', 0],
      ['areas', 0, 'size'],
      ['products', 0, 'rate'],
      ['products', 0, 'limits'],
      ['products', 0, 'rate', 'value'],
      ['method', 'reserve'],
      ['products', 0, 'measureStep'],
    ]
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(
          fc
            .tuple(
              fc.constantFrom(...paths),
              fc.oneof(
                fc.jsonValue(),
                fc.constantFrom(5e-324, 1e9, -0, 1e-300, { value: 5e-324, unit: 'ft2' }),
              ),
            )
            .map(([path, value]) => JSON.stringify(changed(path, value))),
          fc.json(),
          fc.string(),
        ),
        async (body) => {
          const answer = await client.post('/api/plan', body)
          expect([200, 400, 422]).toContain(answer.status)
          if (answer.status !== 200) expect(errorOf(answer.body).issues.length).toBeGreaterThan(0)
        },
      ),
      { numRuns: 1500 },
    )
  })
})

test('the description is valid OpenAPI and comes from the schemas', async () => {
  const { body } = await client.get('/api/openapi.json')
  const document = body as {
    openapi: string
    paths: Record<
      string,
      {
        post?: {
          requestBody?: {
            content: {
              'application/json': {
                schema: { properties?: Record<string, unknown>; additionalProperties?: boolean }
              }
            }
          }
        }
      }
    >
  }
  expect(await new Validator().validate(structuredClone(body) as never)).toMatchObject({ valid: true })
  expect(document.openapi).toBe('3.1.0')
  const schema = document.paths['/api/plan']?.post?.requestBody?.content['application/json'].schema
  expect(Object.keys(schema?.properties ?? {})).toEqual(['areas', 'products', 'method'])
  expect(schema?.additionalProperties).toBe(false)
  expect(JSON.stringify(schema)).toContain('measureStep')
})

test('a server told to stop finishes the request it is in, then ends', async () => {
  const { request: open } = await import('node:http')
  const stopping = await serve()
  const { port } = new URL(stopping.url)
  const body = JSON.stringify(dry)
  const status = new Promise<number>((resolve, reject) => {
    const post = open({ host: '127.0.0.1', port, path: '/api/plan', method: 'POST' }, (answer) => {
      answer.resume()
      resolve(answer.statusCode ?? 0)
    })
    post.on('error', reject)
    post.write(body.slice(0, 40))
    setTimeout(() => void stopping.stop(), 200)
    setTimeout(() => post.end(body.slice(40)), 900)
  })
  expect(await status).toBe(200)
})
