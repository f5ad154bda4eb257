import { expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import type { WeatherHour } from '../weather/hours/weatherHour'
import { limitsWithoutLabels, type ConditionLimits } from './conditionLimits'
import { tellingReasons, waitingCosts, whichDay } from './whichDay'

const some = (text: string | undefined) => (text ? Number(text) : undefined)
const WANTS = limitsWithoutLabels({ method: 'spread', fate: undefined }, 'us-1000')
const light = () => ({ from: 6, to: 20 })

/** A day of one air and wind; its rain falls in one hour, at its chance; the others have 30 % of that. */
const dayOf = (row: Record<string, string>, on = row.on!): readonly WeatherHour[] =>
  Array.from({ length: 24 }, (_, hour) => {
    const rain = some(row.rainAt) === hour ? figure(row, 'rain') : 0
    const chance = figure(row, 'chance')
    return {
      on,
      hour,
      air: figure(row, 'air'),
      wind: figure(row, 'wind'),
      rain,
      chance: rain > 0 ? chance : chance * 0.3,
      forecast: true,
    }
  })

test.each(readTable('whichDay.csv', import.meta.url))('which day: $case', (row) => {
  const [best] = whichDay(
    dayOf(row),
    [
      {
        ...WANTS,
        windMost: some(row.windMost),
        airMost: some(row.airMost),
        waterDepth: some(row.depth),
        waterHours: some(row.within),
        rainfastHours: some(row.rainfast),
        irrigation: row.irrigation as 'zone' | 'none',
        mownOn: row.mown ? [Number(row.mown)] : [],
        mowAfterHours: some(row.mowAfter),
      },
    ],
    { opens: row.opens, closes: row.closes },
    '2026-05-06',
    light,
  )
  expect(best?.score).toBeCloseTo(figure(row, 'score'), 9)
})

const [plain] = readTable('whichDay.csv', import.meta.url)
test('earlier than ideal with rain beats ideal and dry', () => {
  const wet = dayOf({ ...plain!, rain: '0.01', rainAt: '12', chance: '0.9' }, '2026-05-07')
  const dry = dayOf({ ...plain!, chance: '0.2' }, '2026-05-10')
  const wants = { ...WANTS, waterDepth: 0.01, waterHours: 24 }
  const window = { opens: '2026-05-09', closes: '2026-05-20' }
  const scores = whichDay([...wet, ...dry], [wants], window, '2026-05-06', light)
  expect(scores.map(({ on }) => on)).toEqual(['2026-05-07', '2026-05-10'])
  expect(waitingCosts(scores, window)).toMatch(
    /^After 7 May 2026 the next best is 10 May 2026 at \d+ % of it/,
  )
})
test('reasons that take nothing off are not told; a day as good can be waited for', () => {
  const window = { opens: undefined, closes: '2026-05-20' }
  const days = [...dayOf(plain!, '2026-05-07'), ...dayOf(plain!, '2026-05-08')]
  const scores = whichDay(days, [WANTS], window, '2026-05-06', light)
  expect(tellingReasons(scores[0]!)).toEqual(['6:00 to 21:00'])
  expect(waitingCosts(scores, window)).toBe(
    'Nothing is lost by waiting until 8 May 2026; the window closes on 20 May 2026.',
  )
})
test('a label that limits wind where no wind is known: no hour, and that is the reason', () => {
  const hours = dayOf(plain!, '2026-05-07').map(({ wind: _, ...hour }) => hour)
  const [only] = whichDay(
    hours,
    [{ ...WANTS, windMost: 4 }],
    { opens: undefined, closes: undefined },
    '2026-05-06',
    light,
  )
  expect([only?.score, tellingReasons(only!)]).toEqual([0, ['its wind is not known']])
})
test('a dark day has no hours; days gone by are no candidates; of equals the earlier', () => {
  const days = [
    ...dayOf(plain!, '2026-05-08'),
    ...dayOf(plain!, '2026-05-07'),
    ...dayOf(plain!, '2026-05-01'),
  ]
  const scores = whichDay(days, [WANTS], { opens: undefined, closes: undefined }, '2026-05-06', light)
  expect(scores.map(({ on }) => on)).toEqual(['2026-05-07', '2026-05-08'])
  const dark = whichDay(days, [WANTS], { opens: undefined, closes: undefined }, '2026-05-06', () => ({
    from: 12.5,
    to: 12.4,
  }))
  expect(dark.map(({ score }) => score)).toEqual([0, 0])
})

test.each<[string, Partial<ConditionLimits>, readonly number[], number]>([
  // Three hours fit of the four that are enough: within wind at 6, 7 and 8.
  ['fewer hours than are good count for their share', { windMost: 4 }, [], 0.75],
  // No chance is told: where rain is told it comes, where none is it does not.
  ['no rain told while it dries', { rainfastHours: 3 }, [], 1],
  ['rain told while it dries', { rainfastHours: 3 }, [7], 0],
  ['rain told behind it', { rainfastHours: 3 }, [15], 1],
])('hours without a chance told: %s', (_, wants, rainy, score) => {
  const hours = Array.from({ length: 24 }, (_each, hour) => ({
    on: '2026-05-07',
    hour,
    air: 20,
    wind: wants.windMost === undefined || (hour >= 6 && hour <= 8) ? 2 : 9,
    rain: rainy.includes(hour) ? 0.002 : 0,
    forecast: true,
  }))
  const [best] = whichDay(
    hours,
    [{ ...WANTS, ...wants }],
    { opens: undefined, closes: undefined },
    '2026-05-06',
    () => ({ from: 6, to: wants.rainfastHours === undefined ? 20 : 6 }),
  )
  const hoursShare = wants.rainfastHours === undefined ? 1 : 0.25
  expect(best?.score).toBeCloseTo(score * hoursShare, 9)
})
