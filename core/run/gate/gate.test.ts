import { expect, test } from 'vitest'
import { readTable } from '../../../test/support/readTable'
import type { WeatherHour } from '../../weather/hours/weatherHour'
import { gateFindings, gateGaps, readGate } from './gateFindings'
import type { ConditionLimits } from '../../conditions/conditionLimits'
import { blankGate, readByHand, type GateReadings } from './gateReadings'
import { goesAfter, passesAfter } from './passesAfter'
import { readingsFromHours } from './readingsFromHours'

const BLANK = blankGate({ speed: 'mph', temperature: '°F', depth: 'in' })

/** `wind=9 mph gust=16 mph leaf=wet people=no` as readings. */
function readingsOf(text: string): GateReadings {
  const answers: Record<string, string> = {}
  const fields: Record<string, unknown> = {}
  for (const [, name = '', value = ''] of text.matchAll(/(\w+)=([\w.]+(?: (?!\w+=)[\w°/]+)?)/g)) {
    if (name in BLANK.answers) answers[name] = value
    else if (name === 'leaf' || name === 'ground') fields[name] = value
    else fields[name] = { text: value.split(' ')[0] ?? '', unit: value.split(' ')[1] ?? '' }
  }
  return { ...BLANK, ...fields, answers: { ...BLANK.answers, ...answers } } as GateReadings
}

const LIMITS: ConditionLimits = {
  method: 'spray',
  forLeaf: 'no',
  kinds: [],
  dryLeaf: 'no matter',
  irrigation: 'none',
  mownOn: [],
  units: 'us-1000',
}

test.each(readTable('gate.csv', import.meta.url))('$name: $words', (row) => {
  const given = Object.fromEntries(
    (row.limits ?? '').split(' ').map((one) => one.split('=') as [string, string]),
  )
  const { now, kind, ...figures } = given
  const limits = {
    ...LIMITS,
    method: row.method,
    kinds: kind ? [kind] : [],
    ...Object.fromEntries(
      Object.entries(figures).map(([name, value]) => [
        name,
        Number.isNaN(Number(value)) ? value : Number(value),
      ]),
    ),
  } as ConditionLimits
  const found = gateFindings(readingsOf(row.readings ?? ''), limits, {
    now: now ? Number(now) : 12,
    rises: 6,
    sets: 20,
  })
  expect(found.map(({ level, subject }) => `${level} ${subject}`).join(';')).toBe(row.finds)
})

test('a figure that cannot be is told at its field, and gusts under the wind too', () => {
  expect(readGate(readingsOf('wind=8 mph gust=6 mph')).problems).toMatchObject([{ path: 'gust' }])
  expect(readGate({ ...BLANK, air: { text: 'warm', unit: '°F' } }).problems).toMatchObject([{ path: 'air' }])
})

test('what was not read is named: what a label hangs on, the leaf and the eyes', () => {
  const spray = { ...LIMITS, soilFrom: 10, kinds: ['insecticide'] } as ConditionLimits
  expect(gateGaps(BLANK, spray)).toEqual([
    'wind',
    'soil',
    'leaf',
    'people',
    'bees',
    'notices',
    'equipment',
    'gear',
    'label',
  ])
  expect(gateGaps(BLANK, { ...LIMITS, method: 'spread' })).not.toContain('wind')
})

const hour = (at: number, of: Partial<WeatherHour>): WeatherHour => ({
  on: '2026-05-06',
  hour: at,
  air: 20,
  forecast: true,
  ...of,
})
/** Strong wind to 17:00, then 4 m/s; rain at 20:00. */
const DAY = Array.from({ length: 24 }, (_, at) =>
  hour(at, { wind: at < 18 ? 6 : 4, humidity: 50, rain: at === 20 ? 0.002 : 0 }),
)

/** Where the place is not known, still air is warned of at any hour. */
const AHEAD = { light: undefined, on: '2026-05-06' } as const

const across = (text: string | undefined, at: number): number | undefined => {
  const figures = (text ?? '').split(' ')
  return text ? Number(figures[at] ?? figures[0]) : undefined
}
test.each(readTable('passesAfter.csv', import.meta.url))('$name: $words', (row) => {
  const figures = (row.limits ?? '').split(' ').map((one) => one.split('='))
  const limits = Object.fromEntries(
    figures.map(([name = '', value = '']) => [name, Number.isNaN(Number(value)) ? value : Number(value)]),
  )
  const day = Array.from({ length: (row.rain ?? '').split(' ').length }, (_, at) =>
    hour(at, {
      wind: across(row.wind, at),
      gust: across(row.gust, at),
      air: across(row.air, at),
      rain: across(row.rain, at),
      humidity: across(row.humidity, at),
    } as Partial<WeatherHour>),
  )
  const passed = passesAfter(row.subject as 'wind', {
    ...AHEAD,
    limits: { ...LIMITS, ...limits } as ConditionLimits,
    hours: day,
    now: Number(row.now),
  })
  expect(passed).toBe(row.after ? Number(row.after) : undefined)
})

test('says from when it would pass', () => {
  // 10 mph are 4.47 m/s: 6 is over, 4 is not.
  const ahead = { ...AHEAD, hours: DAY, now: 8 }
  expect(passesAfter('wind', { ...ahead, limits: LIMITS })).toBe(18)
  expect(passesAfter('soil', { ...ahead, limits: LIMITS })).toBeUndefined()
  // Dry for three hours after it: from 21:00 on, for it rains at 20:00.
  expect(goesAfter(['wind', 'rainIn', 'rain'], { ...ahead, limits: { ...LIMITS, rainfastHours: 3 } })).toBe(
    21,
  )
  expect(goesAfter(['wind', 'people'], { ...ahead, limits: LIMITS })).toBeUndefined()
})

test('a station fills what it tells and leaves what was typed', () => {
  const read = readingsFromHours(
    readingsOf('soil=58 °F people=yes'),
    DAY,
    '2026-05-06',
    14.5,
    'The point',
    'us-1000',
  )
  // 6 m/s are 13.4 mph, 20 °C are 68 °F; rain begins six hours on.
  expect(read).toMatchObject({
    wind: { text: '13.4', unit: 'mph' },
    air: { text: '68', unit: '°F' },
    rainIn: { text: '6', unit: 'h' },
    rained: { text: '0', unit: 'in' },
    soil: { text: '58', unit: '°F' },
    leaf: 'dry',
    from: 'The point',
    answers: { people: 'yes' },
  })
  expect(readingsFromHours(BLANK, DAY, '2026-06-01', 14, 'The point', 'us-1000')).toBe(BLANK)
})

test('gusts a station told do not outlive a stronger wind that was read here', () => {
  const told = readingsFromHours(
    BLANK,
    [{ ...DAY[8]!, wind: 1, gust: 2 }],
    '2026-05-06',
    8,
    'The point',
    'us-1000',
  )
  expect(readByHand(told, { wind: { text: '6', unit: 'mph' } }).gust.text).toBe('')
  expect(readByHand(told, { wind: { text: '3', unit: 'mph' } }).gust.text).toBe('4.5')
  const typed = { ...told, from: '' }
  expect(readByHand(typed, { wind: { text: '6', unit: 'mph' } }).gust.text).toBe('4.5')
})
