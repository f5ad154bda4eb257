import { expect, test } from 'vitest'
import { sampleProducts } from '../../../demo/sampleProducts'
import { blankArea } from '../../ground/blankArea'
import { foldRun } from '../foldRun'
import { laidDown } from '../laidDown'
import type { RunEvent } from '../runEvent'
import { earlierChunks } from './earlierChunks'
import { earlierPlan, lookUp, type EarlierArea, type EarlierMatches } from './earlierPlan'
import type { EarlierWork } from './earlierWork'
import type { Row } from '../../shape/columns'
import { readEarlierRows } from './readEarlierRows'

const counter = () => {
  let made = 0
  return () => `id ${++made}`
}
const idOf = (words: string) => `of ${words}`
const FEED: Row = {
  Date: '6 May 2025',
  Site: 'Elm House',
  Lawns: 'Front; Back',
  Treated: '8,000 ft2',
  Product: 'Spring feed',
  Used: '28 lb',
  Rate: '3.4 lb/1000 ft2',
  'Done by': 'R. Okafor',
}
const SPRAY: Row = {
  record: 'r1',
  finished: '2025-06-02 14:30',
  started: '2025-06-02 13:05',
  site: 'Elm House',
  treated: '0.5',
  treated_unit: 'acre',
  product: 'Leaf spot cover',
  used: '40',
  used_unit: 'fl oz',
  carrier: '2 gal/1000 ft2',
}
const NOTHING: EarlierMatches = { areas: new Map(), products: new Map() }
const readOne = (row: Row): EarlierWork => {
  const { works, problems } = readEarlierRows([row], idOf)
  expect(problems).toEqual([])
  return works[0]!
}
/** What the events of a kept record fold to. */
function recordOf(work: EarlierWork, matches = NOTHING) {
  const kept = earlierPlan(work, matches, counter(), 'us-1000')
  if (!kept.ok) throw new Error(kept.error)
  const stamp = (sequence: number) => ({
    id: `e${sequence}`,
    deviceId: 'd',
    sequence,
    counter: sequence,
    at: '2026-01-10T12:00:00.000Z',
  })
  const events: RunEvent[] = [
    { ...stamp(1), kind: 'planned', payload: kept.value.frozen },
    { ...stamp(2), kind: 'started', payload: {} },
    { ...stamp(3), kind: 'used', payload: kept.value.used },
    { ...stamp(4), kind: 'timed', payload: { to: '2025-05-06T16:00:00.000Z', only: 'day' } },
    { ...stamp(5), kind: 'finished', payload: work.details },
  ]
  return { record: foldRun(events)!, ...kept.value }
}

test('a table somebody made: other heads, units in the cell, a day in words', () => {
  const { works, problems } = readEarlierRows([FEED, SPRAY], idOf)
  expect(problems).toEqual([])
  expect(works[0]).toMatchObject({
    line: 2,
    finished: { day: '2025-05-06', time: '' },
    lawns: ['Front', 'Back'],
    treated: { value: 8000, unit: 'ft2' },
    products: [{ name: 'Spring feed', used: { value: 28, unit: 'lb' }, planned: { value: 3.4 } }],
    details: { by: 'R. Okafor' },
  })
  expect(works[1]).toMatchObject({
    started: { day: '2025-06-02', time: '13:05' },
    finished: { day: '2025-06-02', time: '14:30' },
    carrier: { value: 2, unit: 'gal/1000 ft2' },
  })
})

test('rows of one record are one tank mix; the same row twice is the same record', () => {
  const mix = readEarlierRows([SPRAY, { ...SPRAY, product: 'Sticker', used: '4' }, FEED, FEED], idOf)
  expect(mix.works.map(({ products }) => products.length)).toEqual([2, 1, 1])
  expect(mix.works[1]?.id).toBe(mix.works[2]?.id)
  expect(readOne({ ...SPRAY, record: '0190AAAA-0000-7000-8000-000000000001' }).id).toBe(
    '0190aaaa-0000-7000-8000-000000000001',
  )
})

test.each([
  ['no day', { ...FEED, Date: '' }, 'finished', /write the day as/],
  ['a day without its year', { ...FEED, Date: '6 May' }, 'finished', /with its year/],
  ['a day of two readings', { ...FEED, Date: '5/6/2025' }, 'finished', /not a day/],
  ['no such hour', { ...FEED, Date: '2025-05-06 25:10' }, 'finished', /no 25:10/],
  ['no site', { ...FEED, Site: '' }, 'site', /Where it was/],
  ['no unit', { ...FEED, Used: '28' }, 'used', /needs its unit/],
  ['a unit of something else', { ...FEED, Used: '28 ft2' }, 'used', /“ft2”/],
  ['nothing of it', { ...FEED, Used: '0 lb' }, 'used', /above zero/],
  ['a rate in spray', { ...FEED, Rate: '2 oz/gal' }, 'planned_rate', /amount over ground/],
  ['a rate of volume for a weight', { ...FEED, Rate: '2 fl oz/1000 ft2' }, 'planned_rate', /density/],
  ['a spray without its carrier', { ...SPRAY, record: 'r2', carrier: '' }, 'carrier', /carrier of a spray/],
])('%s is told with its line and column, and the other rows are there', (_, row, column, message) => {
  const { works, problems } = readEarlierRows([SPRAY, row, FEED], idOf, 12)
  expect(works).toHaveLength(2)
  expect(problems[0]).toMatchObject({ line: 13, column })
  expect(problems[0]?.message).toMatch(message)
})

test('two dry products in one record are no tank mix', () => {
  const { works, problems } = readEarlierRows(
    [
      { ...FEED, record: 'a' },
      { ...FEED, record: 'a', Product: 'Lime' },
    ],
    idOf,
  )
  expect(works).toEqual([])
  expect(problems[0]?.message).toMatch(/tank mix/)
})

test('a rate that counts nitrogen is left out and told', () => {
  const work = readOne({ ...FEED, Rate: '0.75 lb/1000 ft2', rate_basis: 'n' })
  expect(work.products[0]?.planned).toBeUndefined()
  expect(work.notes[0]).toMatch(/nitrogen/)
})

test('the actual rate is what was used over the ground, against the rate noted', () => {
  // 28 lb over 8 thousands is 3.5 lb/1000 ft2; against 3.4 that is 3.5 / 3.4 - 1.
  const { record } = recordOf(readOne(FEED))
  expect(record.outcomes[0]?.actualRate).toMatchObject({ unit: 'lb/1000 ft2' })
  expect(record.outcomes[0]?.actualRate.value).toBeCloseTo(3.5, 9)
  expect(record.outcomes[0]?.deviation).toBeCloseTo(3.5 / 3.4 - 1, 9)
  expect(record).toMatchObject({ state: 'done', finishedAt: '2025-05-06T16:00:00.000Z', only: 'day' })
  expect(record.startedAt).toBeUndefined()
})

test('where no rate was noted none is judged', () => {
  // 40 fl oz over half an acre is 80 fl oz/ac.
  const { record } = recordOf(readOne(SPRAY))
  expect(record.outcomes[0]?.actualRate.unit).toBe('fl oz/ac')
  expect(record.outcomes[0]?.actualRate.value).toBeCloseTo(80, 9)
  expect(record.outcomes[0]).not.toHaveProperty('verdict')
  expect(record.outcomes[0]).not.toHaveProperty('plannedRate')
  // 2 gal on each of 21.78 thousands of half an acre.
  expect(record.used?.made?.value).toBeCloseTo(43.56, 9)
})

test('saved lawns share what went down by their sizes, and a saved product brings its label', () => {
  const [product] = sampleProducts().filter(({ document }) => document.analysis.n.text !== '')
  const area = (id: string, name: string, size: number): EarlierArea => ({
    id,
    version: 1,
    name,
    size,
    document: blankArea('p', 'us-1000'),
  })
  const matches: EarlierMatches = {
    siteId: 's',
    areas: new Map([
      ['front', area('a1', 'Front', 300)],
      ['back', area('a2', 'Back', 100)],
    ]),
    products: new Map([[lookUp(product!.name), { ...product!, version: 3 }]]),
  }
  const { record, document, frozen } = recordOf(readOne({ ...FEED, Product: product!.name }), matches)
  const laid = laidDown(record)
  expect(laid.map(({ areaId }) => areaId)).toEqual(['a1', 'a2'])
  // 8,000 ft2 were treated: three quarters of them are the front.
  expect(frozen.request.areas.map(({ size }) => size)).toEqual([
    { value: 6000, unit: 'ft2' },
    { value: 2000, unit: 'ft2' },
  ])
  // Three quarters of 28 lb, 0.45359237 kg each.
  expect(laid[0]?.amount).toBeCloseTo(0.75 * 28 * 0.45359237, 9)
  expect(laid[0]?.nutrients.n).toBeCloseTo(
    (laid[0]!.amount * Number(product!.document.analysis.n.text)) / 100,
    9,
  )
  expect(frozen.labels[0]?.sourceId).toBe(product!.id)
  expect(document.lawns.map(({ source }) => source?.id)).toEqual(['a1', 'a2'])
})

test('a lawn that is not saved makes the ground one', () => {
  const { frozen } = recordOf(readOne(FEED), {
    ...NOTHING,
    areas: new Map([
      ['front', { id: 'a1', version: 1, name: 'Front', size: 5, document: blankArea('p', 'us-1000') }],
    ]),
  })
  expect(frozen.request.areas).toHaveLength(1)
  expect(frozen.request.areas[0]).toMatchObject({ name: 'Front; Back', size: { value: 8000, unit: 'ft2' } })
})

test('a long table is cut where a record ends, and every part knows its first line', () => {
  const row = (record: string): Row => ({ record, product: 'p' })
  const rows = [row('a'), row('b'), row('b'), row('b'), row(''), row(''), row('c')]
  expect(earlierChunks(rows, 2).map(({ firstLine, rows: own }) => [firstLine, own.length])).toEqual([
    [2, 4],
    [6, 2],
    [8, 1],
  ])
  // One record of more rows than anybody mixes is cut all the same: a part holds twice as many at most.
  expect(
    earlierChunks(
      Array.from({ length: 9 }, () => row('a')),
      2,
    ).map(({ rows: own }) => own.length),
  ).toEqual([4, 4, 1])
  expect(earlierChunks([], 2)).toEqual([])
})
