import { expect, test } from 'vitest'
import { figure, readTable } from '../../../test/support/readTable'
import { dayNumber, dayOfNumber } from '../../calendar/dayNumber'
import type { GrassName } from '../../ground/grasses'
import { celsius } from '../../quantity/temperature'
import { toldTemperature } from '../../quantity/toldTemperature'
import { openWorkingBook } from '../../working/working'
import { halfYearOf } from './halfYear'
import type { SoilDays, WindowGround } from './seasonWindow'
import { seasonWindows } from './seasonWindows'

const tell = (degrees: number) => toldTemperature(degrees, '°F')
/** Soil that warms or cools by as much every day. */
const ramp = (from: string, start: number, perDay: number, days: number) => ({
  first: dayNumber(from),
  soil: Float64Array.from({ length: days }, (_, d) => celsius({ value: start + perDay * d, unit: '°F' })),
})
const ground = (fields: Partial<WindowGround>): WindowGround => ({
  grasses: ['Kentucky bluegrass'],
  latitude: 40,
  overseeding: undefined,
  barriers: [],
  ...fields,
})

test.each(readTable('windows.csv', import.meta.url))('$name on $today: $state ($words)', (row) => {
  const days = ramp(row.from!, figure(row, 'start'), figure(row, 'perDay'), figure(row, 'days'))
  const fields = {
    grasses: [row.grass as GrassName],
    latitude: figure(row, 'latitude'),
    overseeding: row.seed === '' ? undefined : row.seed,
  }
  const found = seasonWindows(days, ground(fields), row.today!, tell).find(({ name }) => name === row.name)
  const { opens = '', closes = '', state } = found ?? {}
  expect({ opens, closes, state }).toEqual({ opens: row.opens, closes: row.closes, state: row.state })
})

test.each<[string, readonly string[], string, string, string | undefined, string | undefined]>([
  ['none laid', [], '2026-05-06', 'before', undefined, undefined],
  [
    'laid on 1 April, 30 days are not over',
    ['2026-04-01'],
    '2026-04-30',
    'before',
    '2026-05-01',
    '2026-05-02',
  ],
  // The ramp reaches 70 °F on 2 May, before the 45 days are over.
  ['30 days', ['2026-04-01'], '2026-05-01', 'closing', '2026-05-01', '2026-05-02'],
  ['laid on 1 March: 31 March to 15 April', ['2026-03-01'], '2026-03-31', 'open', '2026-03-31', '2026-04-15'],
  ['its last five days', ['2026-03-01'], '2026-04-11', 'closing', '2026-03-31', '2026-04-15'],
  ['after them', ['2026-03-01'], '2026-04-16', 'late', '2026-03-31', '2026-04-15'],
  ['90 days on', ['2026-03-01'], '2026-05-31', 'over', '2026-03-31', '2026-04-15'],
  ['both laid', ['2026-03-01', '2026-04-03'], '2026-04-10', 'over', '2026-03-31', '2026-04-15'],
])('second half, %s', (_, barriers, today, state, opens, closes) => {
  const windows = seasonWindows(ramp('2026-03-01', 40, 0.5, 90), ground({ barriers }), today, tell)
  expect(windows.find(({ name }) => name === 'second half')).toMatchObject({ state, opens, closes })
})

test('each grass has its own windows, and says what it rests on in the units asked for', () => {
  const names = (grasses: readonly GrassName[]) =>
    seasonWindows(ramp('2026-03-01', 40, 0.5, 90), ground({ grasses }), '2026-04-01', tell).map(
      ({ name }) => name,
    )
  expect(names(['bermuda'])).toEqual([
    'warm feed',
    'spring pre-emergent',
    'second half',
    'autumn pre-emergent',
    'spring dead spot',
    'potassium',
  ])
  expect(names(['tall fescue'])).toContain('root disease')
  const [feed] = seasonWindows(ramp('2026-03-01', 40, 0.5, 90), ground({}), '2026-04-01', tell)
  expect(feed?.reason).toContain('Soil 54.5 °F on a five-day mean; from 50 °F to 65 °F, rising')
})

test('a window shows the mean it goes by', () => {
  const book = openWorkingBook()
  seasonWindows(ramp('2026-03-01', 40, 0.5, 90), ground({}), '2026-03-23', tell, book)
  expect(book.pages().map(({ figure, lines }) => [figure, lines.at(0), lines.at(-1)])).toEqual([
    ['windows', '2026-03-19: 49 °F', 'Their mean: 50 °F'],
  ])
})

test('halves of the year follow the hemisphere', () => {
  const span = (half: 'warming' | 'cooling', today: string, latitude: number) => {
    const { from, to } = halfYearOf(half, today, latitude)
    return [from - dayNumber(today) <= 0, to - dayNumber(today) >= 0]
  }
  expect(span('warming', '2026-05-06', 40)).toEqual([true, true])
  expect(span('cooling', '2026-05-06', 40)).toEqual([false, true])
  expect(span('cooling', '2026-05-06', -35)).toEqual([true, true])
  expect(span('warming', '2026-01-20', -35)).toEqual([true, true])
  expect(span('warming', '2026-10-20', 40)).toEqual([true, false])
})

test('what is still to come has an earliest and a latest day by the give of the soil', () => {
  // Half a degree F a day: 50 °F on 20 March, held on the 22nd; a give of 2 °F is four days.
  const days = ramp('2026-03-01', 40, 0.5, 90)
  const give = new Float64Array(90).fill(2 / 1.8)
  const find = (today: string, soil: SoilDays = { ...days, give }) =>
    seasonWindows(soil, ground({}), today, tell).find(({ name }) => name === 'spring pre-emergent')
  const { opens, opensBetween, closesBetween } = find('2026-03-10') ?? {}
  expect([
    dayNumber(opens!) - dayNumber(opensBetween!.early!),
    dayNumber(opensBetween!.late!) - dayNumber(opens!),
  ])
    // The mean of five days is two behind.
    .toEqual([4, 4])
  expect(closesBetween).toEqual({ early: expect.any(String), late: expect.any(String) })
  const book = openWorkingBook()
  seasonWindows({ ...days, give }, ground({}), '2026-03-10', tell, book)
  const told = book.pages().flatMap(({ lines }) => lines)
  expect(told).toContainEqual(
    expect.stringContaining(`spring pre-emergent opens ${opens}; with the soil warmer`),
  )
  expect(find('2026-03-25')?.opensBetween).toBeUndefined()
  // What has not come today comes tomorrow at the earliest.
  const dayBefore = dayOfNumber(dayNumber(opens!) - 1)
  expect(find(dayBefore)?.opensBetween?.early).toBe(opens)
  expect(find('2026-03-10', days)?.opensBetween).toBeUndefined()
})
