import { expect, test } from 'vitest'
import { coveredTo, dueVisits, repeatDue, type LastOnArea } from './repeatDue'

test.each<[string, string, number, number, string | undefined, object]>([
  [
    'planned a tenth early',
    '2026-05-06',
    28,
    0.1,
    undefined,
    { due: '2026-05-05', lastDay: '2026-05-08', state: 'due' },
  ],
  ['ten days ahead it is soon', '2026-04-25', 28, 0.1, undefined, { inDays: 10, state: 'soon' }],
  ['eleven days ahead it is not', '2026-04-24', 28, 0.1, undefined, { inDays: 11, state: 'later' }],
  ['on its last day it is due', '2026-05-08', 28, 0.1, undefined, { state: 'due' }],
  ['a day behind it is late', '2026-05-09', 28, 0.1, undefined, { inDays: -4, state: 'late' }],
  [
    'heat units bring it forward',
    '2026-05-01',
    28,
    0.1,
    '2026-05-03',
    { due: '2026-05-03', lastDay: '2026-05-03' },
  ],
  [
    'heat units put nothing off',
    '2026-05-01',
    28,
    0.1,
    '2026-06-03',
    { due: '2026-05-05', lastDay: '2026-05-08' },
  ],
])('a repeat of 10 April: %s', (_, today, interval, margin, heat, expected) => {
  expect(repeatDue('2026-04-10', interval, margin, today, { heatDue: heat })).toMatchObject(expected)
})

test('a product lasts for whole days, or nobody knows how long', () => {
  expect(coveredTo('2026-04-10', 90)).toBe('2026-07-09')
  expect(coveredTo('2026-04-10', 89.9)).toBe('2026-07-08')
  expect(coveredTo('2026-04-10', null)).toBeNull()
})

const laid = (area: string, more: Partial<LastOnArea> = {}): LastOnArea => ({
  areaId: area,
  area,
  siteId: 'site',
  site: 'Elm House',
  product: 'Barrier',
  on: '2026-04-10',
  repeatDays: 28,
  lastsDays: null,
  ...more,
})
const dueOn = (day: string, rows: readonly LastOnArea[], margin = 0.1) =>
  dueVisits(rows, margin, day).map(({ product, areas, due }) => `${product}: ${areas}, ${due}`)

test('lawns of one site and day are one visit, another day or product is another', () => {
  const rows = [
    laid('Front'),
    laid('Back'),
    laid('Green', { on: '2026-04-12' }),
    laid('Front', { product: 'Regulator', repeatDays: 21 }),
  ]
  expect(dueOn('2026-05-04', rows)).toEqual([
    // 21 days less a tenth are 18 whole ones.
    'Regulator: Front, 2026-04-28',
    'Barrier: Front, Back, 2026-05-05',
    'Barrier: Green, 2026-05-07',
  ])
})

test('no repeat is due before the label lets it go down, whatever calls for it', () => {
  // 20 November + 21 d: 10 to the end of the month, 11 in December.
  expect(
    repeatDue('2026-11-20', 28, 0.1, '2026-12-01', { heatDue: '2026-12-02', shortest: 21 }),
  ).toMatchObject({ due: '2026-12-11', lastDay: '2026-12-11', state: 'soon' })
})

test('lawns that are due on other days are other visits', () => {
  const rows = [
    laid('Front', { heatDue: '2026-05-02' }),
    laid('Back', { heatDue: '2026-05-06' }),
    laid('Side', { heatDue: '2026-05-02' }),
  ]
  expect(dueVisits(rows, 0, '2026-05-01').map(({ areaIds, due }) => [due, ...areaIds])).toEqual([
    ['2026-05-02', 'Front', 'Side'],
    ['2026-05-06', 'Back'],
  ])
})

test('what wears off before it may be repeated leaves a gap: the earlier of the two counts', () => {
  expect(dueOn('2026-04-25', [laid('Front', { repeatDays: 60, lastsDays: 20 })], 0)).toEqual([
    'Barrier: Front, 2026-04-30',
  ])
  expect(dueOn('2026-04-25', [laid('Front', { repeatDays: null, lastsDays: null })])).toEqual([])
})

test('what is far off is not told, nor what was missed more than a month ago', () => {
  expect(dueOn('2026-04-12', [laid('Front')])).toEqual([])
  // Its last day is 8 May: told up to 30 days behind that.
  expect(dueOn('2026-06-07', [laid('Front')])).toHaveLength(1)
  expect(dueOn('2026-06-08', [laid('Front')])).toEqual([])
})
