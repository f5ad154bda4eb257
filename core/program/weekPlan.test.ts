import { expect, test } from 'vitest'
import { acrossSites, seasonDue, type LawnDue } from '../season/seasonDue'
import { clientEntries, crewEntries } from './calendarEntries'
import type { Intention } from './intentions'
import { dayLoad, dayWorking, weekPlan, type WeekTask } from './weekPlan'

const DAYS = ['2026-05-06', '2026-05-07', '2026-05-08']
const task = (id: string, siteId: string, more: Partial<WeekTask> = {}): WeekTask => ({
  id,
  siteId,
  from: undefined,
  to: undefined,
  presses: false,
  seconds: 0,
  machineId: '',
  ...more,
})
const plain = () => 0
const roomFor = (sites: number, hours = 24, people = 1) => ({ sites, hours, people })
const byDay =
  (scores: readonly number[]) =>
  (_: WeekTask, on: string): number =>
    scores[DAYS.indexOf(on)] ?? 0

test('each on its best day; a site that is visited anyway is worth 0.15 of a score', () => {
  const { visits } = weekPlan(
    [task('a', 'x'), task('b', 'x')],
    DAYS,
    ({ id }, on) => (id === 'a' ? byDay([1, 0.5, 0.5]) : byDay([0.8, 0.9, 0.2]))(task('', ''), on),
    roomFor(4),
    plain,
  )
  // 0.8 + 0.15 on the day of the other beats 0.9.
  expect(visits).toEqual([{ on: '2026-05-06', siteId: 'x', hand: 0, tasks: ['a', 'b'] }])
  const apart = weekPlan(
    [task('a', 'x'), task('b', 'x')],
    DAYS,
    ({ id }, on) => (id === 'a' ? byDay([1, 0.5, 0.5]) : byDay([0.7, 0.9, 0.2]))(task('', ''), on),
    roomFor(4),
    plain,
  )
  expect(apart.visits.map(({ on }) => on)).toEqual(['2026-05-06', '2026-05-07'])
})
test('no more sites a day than can be visited; what presses goes first, what no day fits is left', () => {
  const { visits, left } = weekPlan(
    [task('a', 'x'), task('b', 'y', { presses: true }), task('c', 'z'), task('d', 'w')],
    DAYS,
    ({ id }, on) => (id === 'd' ? 0 : byDay([1, 0.5, 0.4])(task('', ''), on)),
    roomFor(1),
    plain,
  )
  expect(visits.map(({ on, siteId }) => `${on} ${siteId}`)).toEqual([
    '2026-05-06 y',
    '2026-05-07 x',
    '2026-05-08 z',
  ])
  expect(left).toEqual(['d'])
})
test('not before its window opens; after it closes at half of the score', () => {
  const one = (more: Partial<WeekTask>) =>
    weekPlan([task('a', 'x', more)], DAYS, byDay([0.9, 0.5, 1]), roomFor(4), plain).visits[0]?.on
  expect(one({ from: '2026-05-07' })).toBe('2026-05-08')
  expect(one({ to: '2026-05-06' })).toBe('2026-05-06')
})
// Three hours on each site and half an hour to get there: seven hours for one, three and a half for two.
test.each([
  ['one person, seven hours', roomFor(4, 7), ['', ''], 1],
  ['one person, six hours', roomFor(4, 6), ['', ''], 2],
  ['two persons, six hours', roomFor(4, 6, 2), ['', ''], 1],
  ['two persons with one machine', roomFor(4, 6, 2), ['m', 'm'], 2],
  ['two persons with a machine each', roomFor(4, 6, 2), ['m', 'n'], 1],
  ['a day shorter than either', roomFor(4, 2), ['', ''], 2],
])('%s', (_, room, machines, days) => {
  const works = ['x', 'y'].map((site, i) =>
    task(site, site, { seconds: 3 * 3600, machineId: machines[i] ?? '' }),
  )
  const { visits, left } = weekPlan(works, DAYS, byDay([1, 0.9, 0.8]), room, plain)
  expect(new Set(visits.map(({ on }) => on)).size).toBe(days)
  expect(left).toEqual([])
})
test('a day is dealt to its hands: the longest to whom has least, what takes one machine to one hand', () => {
  const works = [
    task('a', 'v', { seconds: 7200, machineId: 'm' }),
    task('b', 'w', { seconds: 3600 }),
    task('c', 'x', { seconds: 3000 }),
    task('d', 'y', { seconds: 600, machineId: 'm' }),
  ]
  const { visits } = weekPlan(works, ['2026-05-06'], () => 1, roomFor(4, 8, 2), plain)
  expect(visits.map(({ siteId, hand }) => [siteId, hand])).toEqual([
    ['v', 0],
    ['y', 0],
    ['w', 1],
    ['x', 1],
  ])
})
test('a day is as full as its works and the way to its sites; the unknown is given room', () => {
  const load = dayLoad([
    task('a', 'x', { seconds: 600, machineId: 'm' }),
    task('b', 'x', { seconds: undefined }),
  ])
  // 10 min + 45 min + half an hour to the one site; the machine 10 min and its way.
  expect(load).toEqual({ seconds: 5100, longestMachine: 2400, unknown: 1 })
})
test('the hours of a day show how they come about', () => {
  const works = [
    { ...task('a', 'x', { seconds: 600 }), what: 'Feed' },
    { ...task('b', 'x', { seconds: undefined }), what: 'Barrier' },
  ]
  expect(dayWorking(works)).toEqual([
    'Feed: 10 min over its lawns, turns and fills not counted',
    'Barrier: not known before a machine is calibrated, given 45 min',
    '1 site x 30 min for the way, weighing and mixing',
    'Together 1.41667 h',
  ])
})
test('the sites of a day are driven to the nearest next', () => {
  const places: Readonly<Record<string, number>> = { x: 0, y: 9, z: 4 }
  const { visits } = weekPlan(
    [task('a', 'x'), task('b', 'y'), task('c', 'z')],
    ['2026-05-06'],
    () => 1,
    roomFor(4),
    (from, to) => Math.abs(places[from]! - places[to]!),
  )
  expect(visits.map(({ siteId }) => siteId)).toEqual(['x', 'z', 'y'])
})

const step = (title: string, state: Intention['state'], more: Partial<Intention> = {}): Intention => ({
  stepId: title,
  occurrence: 0,
  title,
  kind: 'fertilizer',
  productId: '',
  nitrogen: { text: '', unit: 'lb/1000 ft2' },
  state,
  from: '2026-05-01',
  to: '2026-05-20',
  reason: 'by the calendar',
  ...more,
})
const lawn = (area: string, site: string, more: Partial<LawnDue>): LawnDue => ({
  areaId: area,
  area,
  siteId: site,
  site,
  next: [],
  steps: [],
  ...more,
})
test('what lawns ask for: the same of one site together, what presses first, then over all sites', () => {
  const due = seasonDue(
    [
      lawn('a', 'x', { steps: [step('Feed', 'open')] }),
      lawn('b', 'x', { steps: [step('Feed', 'open')] }),
      lawn('c', 'y', { steps: [step('Feed', 'open', { to: '2026-05-09' })] }),
      lawn('d', 'y', {
        next: [{ what: 'Dollar spot', reason: 'index', presses: true, asks: 'work', by: 'index' }],
      }),
    ],
    '2026-05-06',
  )
  // Three days to the last: it presses.
  expect(due.map(({ what, site, areas, presses }) => [what, site, areas.length, presses])).toEqual([
    ['Feed', 'y', 1, true],
    ['Dollar spot', 'y', 1, true],
    ['Feed', 'x', 2, false],
  ])
  expect(acrossSites(due)[0]).toMatchObject({ what: 'Feed', until: '2026-05-09', presses: true })
  expect(acrossSites(due)[0]?.sites.map(({ areas }) => areas)).toEqual([1, 2])
})

test('a client reads plain words and no product; done and left out are in no calendar', () => {
  const places = [
    {
      area: { id: 'a', name: 'Front' },
      site: { name: 'Row' },
      intended: [
        step('Slow-feed 21', 'open', { to: undefined }),
        step('Iron', 'planned', { on: '2026-05-09', kind: 'iron' }),
        step('Old', 'done'),
        step('Not here', 'left out'),
        step('Aerate', 'ahead', { kind: '' }),
      ],
    },
  ]
  expect(crewEntries(places).map(({ title, from, to }) => [title, from, to])).toEqual([
    ['Row, Front: Slow-feed 21', '2026-05-01', '2026-05-15'],
    ['Row, Front: Iron', '2026-05-09', '2026-05-09'],
    ['Row, Front: Aerate', '2026-05-01', '2026-05-20'],
  ])
  expect(clientEntries(places, '2026-05-09').map(({ title }) => title)).toEqual([
    'Feed: Front',
    'Iron for colour: Front',
    'Aerate: Front',
  ])
  const both = [...places, { ...places[0]!, area: { id: 'b', name: 'Back' } }]
  expect(clientEntries(both, '2026-05-09').map(({ title }) => title)[0]).toBe('Feed: Front, Back')
  // What is past is no promise any more.
  expect(clientEntries(both, '2026-05-21')).toEqual([])
})
