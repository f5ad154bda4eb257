import fc from 'fast-check'
import { expect, test } from 'vitest'
import { figure, readTable } from '../../../test/support/readTable'
import { meanOf } from '../../quantity/counting'
import { simulatedClimate } from '../../simulated/simulatedClimate'
import { dewPoint, humidityAt } from '../vapour'
import { simulatedForecast } from '../../simulated/simulatedForecast'
import { simulatedHours } from '../../simulated/simulatedHours'
import { readWeatherLine, writeWeatherLine } from './weatherLine'
import { daysFromHours, isLeafWet, type WeatherHour } from './weatherHour'

const CLIMATE = {
  mean: 11,
  swing: 11,
  coldest: 30,
  dayRange: 10,
  wetDays: 0.3,
  rainDepth: 0.008,
  humidity: 72,
}
const hourOf = (fields: Partial<WeatherHour>): WeatherHour => ({
  on: '2026-05-06',
  hour: 14,
  air: 17.2,
  forecast: false,
  ...fields,
})

test.each(readTable('hours.csv', import.meta.url))('dew and wet leaf: $case', (row) => {
  const [air, humidity, rain] = [figure(row, 'air'), figure(row, 'humidity'), figure(row, 'rain')]
  expect(dewPoint(air, humidity)).toBeCloseTo(figure(row, 'dew'), 1)
  expect(humidityAt(air, dewPoint(air, humidity))).toBeCloseTo(humidity, 6)
  expect(isLeafWet(hourOf({ air, humidity, rain }))).toBe(row.wet === 'yes')
})
test('without humidity a dry hour says nothing of the leaf', () => {
  expect(isLeafWet(hourOf({}))).toBeUndefined()
})

test('a line of the wire comes back as it went, whatever the hour', () => {
  const tenth = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map((n) => n / 10)
  const maybe = <T>(one: fc.Arbitrary<T>) => fc.option(one, { nil: undefined })
  fc.assert(
    fc.property(
      fc.record({
        hour: fc.integer({ min: 0, max: 23 }),
        air: tenth(-60, 60),
        humidity: maybe(fc.integer({ min: 0, max: 100 })),
        wind: maybe(tenth(0, 50)),
        rain: maybe(fc.integer({ min: 0, max: 900 }).map((n) => n / 1e4)),
        chance: maybe(fc.integer({ min: 0, max: 100 }).map((n) => n / 100)),
        forecast: fc.boolean(),
      }),
      (fields) => {
        const hour = hourOf(fields)
        const read = readWeatherLine(writeWeatherLine(hour))
        if (!read.ok) throw new Error(read.error)
        for (const [name, value] of Object.entries(hour))
          if (typeof value === 'number') expect(read.value[name as 'air']).toBeCloseTo(value, 9)
          else if (value !== undefined) expect(read.value[name as 'on']).toBe(value)
      },
    ),
  )
})
test.each([
  ['W1 2026-05-06 14 air 17.2 C seen*00', 'badChecksum'],
  ['R1 2026-05-06 14 air 17.2 C seen*00', 'notALine'],
  ['W1 2026-13-06 14 air 17.2 C seen*00', 'notALine'],
  [`W1 2026-05-06 14 ${'air 1 C '.repeat(30)}seen*00`, 'tooLong'],
])('%s is refused: %s', (line, error) => {
  expect(readWeatherLine(line)).toEqual({ ok: false, error })
})
test('an hour on the wire, letter by letter', () => {
  const hour = hourOf({ humidity: 61, wind: 3.4, rain: 0.0015, chance: 0.2, forecast: true })
  // The character codes come to 6154: 256 goes into it with 10 left, 0A.
  expect(writeWeatherLine(hour)).toBe(
    'W1 2026-05-06 14 air 17.2 C humidity 61 % wind 3.4 m/s rain 1.5 mm chance 20 % forecast*0A',
  )
})
test('a lost character is found, and a figure out of this world', () => {
  const line = writeWeatherLine(hourOf({ wind: 3 }))
  expect(readWeatherLine(line.replace('17.2', '1.2')).ok).toBe(false)
  expect(readWeatherLine(writeWeatherLine(hourOf({ air: 90 })))).toEqual({ ok: false, error: 'notANumber' })
})

test('the hours of a simulated day stay between its least and most, with its rain', () => {
  for (const day of simulatedClimate(CLIMATE, '2026-04-01', 60, 3)) {
    const [back] = daysFromHours(simulatedHours(day, 9))
    expect(back?.least).toBeCloseTo(day.least, 6)
    expect(back?.most).toBeCloseTo(day.most, 6)
    expect(back?.rain).toBeCloseTo(day.rain!, 3)
  }
})
test('a day with too few hours has no least and most of its own; an hour told twice is one more', () => {
  const hours = Array.from({ length: 19 }, (_, hour) => hourOf({ hour }))
  expect(daysFromHours(hours)).toEqual([])
  expect(daysFromHours([...hours, hourOf({ hour: 19 })])).toHaveLength(1)
})

test('a forecast errs the more the further it looks, and its rain fades into the climate', () => {
  const off = (ahead: number) =>
    meanOf(
      Array.from({ length: 300 }, (_, seed) => {
        const truth = simulatedClimate(CLIMATE, '2026-05-06', 10, seed)
        const told = simulatedForecast(truth, '2026-05-06', CLIMATE, seed)
        return Math.abs(told[ahead]!.most - truth[ahead]!.most)
      }),
    )
  const [first, fourth, ninth] = [off(0), off(4), off(9)]
  // The mean of |x| of a normal error is 0.798 sd: 0.6, 2.4 and 4.65 K.
  expect(first).toBeCloseTo(0.48, 1)
  expect(fourth / first).toBeGreaterThan(3)
  expect(ninth / fourth).toBeGreaterThan(1.6)
  const wet = simulatedForecast(
    [{ on: '2026-05-06', least: 5, most: 15, rain: 0.01, forecast: false }],
    '2026-05-06',
    CLIMATE,
    1,
  )
  expect(wet[0]?.chance).toBe(0.95)
})
