import { afterAll, beforeAll, expect, test } from 'vitest'
import { serve } from '../support/serve'
import type { Served } from '../support/server'

let served: Served
beforeAll(async () => {
  served = await serve()
})
afterAll(() => served.stop())

const wheel = (x: number, y: number, radius: number, corners: number) =>
  Array.from({ length: corners }, (_, i) => {
    const at = (2 * Math.PI * i) / corners
    return [x + radius * Math.cos(at), y + radius * Math.sin(at)].map((metres) => Number(metres.toFixed(4)))
  })
const outline = (sign: 'add' | 'subtract', points: readonly (readonly number[])[]) => ({
  sign,
  shape: 'outline',
  points,
})
const measure = (parts: readonly unknown[], signal?: AbortSignal) =>
  fetch(`${served.url}/api/measure`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ parts }),
    ...(signal && { signal }),
  })

/** A chain of 99 discs that overlap, of 200 corners each, on one large lawn. */
const chain = [
  outline('add', [
    [-50, -50],
    [1050, -50],
    [1050, 50],
    [-50, 50],
  ]),
  ...Array.from({ length: 99 }, (_, i) => outline('subtract', wheel(i * 10, 0, 8, 200))),
]

test('others are answered while large ground is measured, and it comes out right', async () => {
  let done = false
  const measured = measure(chain).finally(() => {
    done = true
  })
  let meanwhile = 0
  while (!done) {
    expect((await fetch(`${served.url}/api/health`)).status).toBe(200)
    if (!done) meanwhile += 1
  }
  const answer = await measured
  expect(answer.status).toBe(200)
  // Two discs of radius r at distance d share 2 r^2 acos(d / 2r) - d/2 sqrt(4r^2 - d^2); each only with the
  // next, since 20 m lie between every other one.
  const [r, d] = [8, 10]
  const shared = 2 * r * r * Math.acos(d / (2 * r)) - (d / 2) * Math.sqrt(4 * r * r - d * d)
  const { net } = (await answer.json()) as { net: { value: number } }
  expect(net.value / (110_000 - 99 * Math.PI * r * r + 98 * shared)).toBeCloseTo(1, 3)
  expect(meanwhile).toBeGreaterThan(5)
})

test('what nobody waits for any more ends; the next is measured', async () => {
  const gone = new AbortController()
  const given = measure(chain, gone.signal).catch((error: unknown) => error)
  setTimeout(() => gone.abort(), 50)
  expect(await given).toBeInstanceOf(Error)
  const answer = await measure(chain.slice(0, 30))
  expect(answer.status).toBe(200)
})

test('outlines that cross too often are refused with a place, as they are in one thread', async () => {
  const comb = (turned: boolean) =>
    Array.from({ length: 250 }, (_, i) => [
      [i * 2, 1],
      [i * 2, 500],
      [i * 2 + 1, 500],
      [i * 2 + 1, 1],
    ])
      .flat()
      .concat([
        [500, 0],
        [0, 0],
      ])
      .map(([x, y]) => (turned ? [y!, x!] : [x!, y!]))
  const answer = await measure([outline('add', comb(false)), outline('subtract', comb(true))])
  expect(answer.status).toBe(422)
  expect(await answer.json()).toMatchObject({ error: { code: 'too-complex', issues: [{ path: 'parts' }] } })
})
