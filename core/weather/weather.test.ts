import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { brownPatchIndex, diseaseIndices, dollarSpotProbability } from './diseaseIndices'
import { heatUnits, heatUnitsOfDay } from './heatUnits'
import { usualMean, simulatedClimate } from '../simulated/simulatedClimate'
import { soilTemperature } from './soilTemperature'
import type { WeatherDay } from './weatherDay'
import { weatherSeries, type WeatherSeries } from './weatherSeries'

const day = (on: string, least: number, most: number, more: Partial<WeatherDay> = {}): WeatherDay => ({
  on,
  least,
  most,
  forecast: false,
  ...more,
})
function seriesOf(days: readonly WeatherDay[]): WeatherSeries {
  const series = weatherSeries(days)
  if (!series.ok) throw new Error(series.error.message)
  return series.value
}
/** The same day again and again from 1 May. */
const steady = (count: number, least: number, most: number, more: Partial<WeatherDay> = {}) =>
  Array.from({ length: count }, (_, i) => day(`2026-05-${String(i + 1).padStart(2, '0')}`, least, most, more))

test.each(readTable('weather.csv', import.meta.url))('$what of $a and $b ($words)', (row) => {
  const [a, b] = [figure(row, 'a'), figure(row, 'b')]
  const value =
    row.what === 'brown patch'
      ? brownPatchIndex(a, b)
      : row.what === 'dollar spot'
        ? dollarSpotProbability(a, b)
        : heatUnitsOfDay(a, b, 0)
  if (row.expected === '') expect(value).toBeUndefined()
  else expect(value).toBeCloseTo(figure(row, 'expected'), 6)
})

test('indices need their five days of air and damp; a day without damp has none', () => {
  const found = diseaseIndices(seriesOf(steady(6, 15, 25, { humidity: 75 })))
  expect(found.filter(({ name }) => name === 'dollar spot').map(({ on, act }) => [on, act])).toEqual([
    ['2026-05-05', true],
    ['2026-05-06', true],
  ])
  expect(found.filter(({ name }) => name === 'brown patch')).toHaveLength(6)
  expect(diseaseIndices(seriesOf(steady(6, 15, 25)))).toEqual([])
})

describe('days in their order', () => {
  test('two that are missing are bridged in a straight line and said; four are a hole', () => {
    const bridged = seriesOf([day('2026-05-04', 13, 23), day('2026-05-01', 10, 20, { rain: 0.01 })])
    expect([...bridged.least]).toEqual([10, 11, 12, 13])
    expect(bridged.bridged).toEqual(['2026-05-02', '2026-05-03'])
    expect([...bridged.rain].map(Number.isNaN)).toEqual([false, true, true, true])
    const hole = seriesOf([day('2026-05-01', 10, 20), day('2026-05-06', 10, 20)])
    expect(hole.holes).toEqual([{ from: '2026-05-02', to: '2026-05-05' }])
    expect(hole.mean[2]).toBeNaN()
    // Over a leap day and New Year nothing is missing.
    expect(seriesOf([day('2028-02-28', 1, 2), day('2028-02-29', 1, 2), day('2028-03-01', 1, 2)]).length).toBe(
      3,
    )
    expect(seriesOf([day('2026-12-31', 1, 2), day('2027-01-01', 1, 2)]).bridged).toEqual([])
  })

  test('what came true stands for its forecast; a day told twice and differently is refused', () => {
    const forecast = day('2026-05-01', 0, 1, { forecast: true })
    const true1 = day('2026-05-01', 10, 20)
    expect([...seriesOf([true1, forecast]).least]).toEqual([10])
    expect([...seriesOf([forecast, true1]).least]).toEqual([10])
    expect(seriesOf([true1, { ...true1 }]).length).toBe(1)
    expect(weatherSeries([true1, day('2026-05-01', 11, 20)])).toMatchObject({
      error: { kind: 'twice', index: 1 },
    })
    expect(weatherSeries([day('2026-05-01', 20, 10)])).toMatchObject({ error: { kind: 'turned', index: 0 } })
    expect(weatherSeries([true1, day('2026-05-02', 60, 88)])).toMatchObject({
      error: { kind: 'absurd', index: 1 },
    })
  })
})

describe('soil lags behind air', () => {
  // Air of 10 °C for a day, then 20 °C: 20 - 10 e^(-n/6) after n days.
  const step = [day('2026-05-01', 5, 15), ...steady(31, 15, 25).slice(1)]

  test('a step of air is made good by 63.2 % in six days', () => {
    const { soil, fit } = soilTemperature(seriesOf(step), [])
    expect(fit).toMatchObject({ timeConstant: 6, offset: 0, readings: 0 })
    expect(soil[0]).toBe(10)
    expect(soil[6]).toBeCloseTo(20 - 10 / Math.E, 9)
    expect(soil[30]).toBeCloseTo(20 - 10 * Math.exp(-5), 9)
  })

  test('readings put it where the area is, and make it surer', () => {
    const probes = [7, 13, 19].map((at, i) => ({
      on: `2026-05-${String(at).padStart(2, '0')}`,
      soil: 20 - 10 * Math.exp(-(at - 1) / 6) + [1.4, 1.5, 1.6][i]!,
    }))
    const fitted = soilTemperature(seriesOf(step), probes)
    const bare = soilTemperature(seriesOf(step), [])
    expect(fitted.fit.offset).toBeCloseTo(1.5, 9)
    expect(fitted.give[30]!).toBeLessThan(bare.give[30]!)
    expect(bare.give[30]!).toBeLessThan(bare.give[0]!)
  })

  test('what the station measured in its soil is taken; after a hole it begins anew', () => {
    const measured = soilTemperature(seriesOf(steady(3, 10, 20, { soil: 12 })), [])
    expect([...measured.soil]).toEqual([12, 12, 12])
    const { soil } = soilTemperature(seriesOf([day('2026-05-01', 0, 10), day('2026-05-09', 10, 30)]), [])
    expect(soil[4]).toBeNaN()
    expect(soil[8]).toBe(20)
  })

  test('it never leaves what the air was, and warmer air never means colder soil', () => {
    const temperature = fc.double({ min: -20, max: 35, noNaN: true })
    fc.assert(
      fc.property(fc.array(temperature, { minLength: 2, maxLength: 31 }), fc.nat(30), (air, at) => {
        const soilOf = (list: readonly number[]) =>
          soilTemperature(seriesOf(list.map((one, i) => ({ ...steady(31, one, one)[i]! }))), []).soil
        const soil = soilOf(air)
        for (const one of soil) {
          expect(one).toBeGreaterThanOrEqual(Math.min(...air) - 1e-9)
          expect(one).toBeLessThanOrEqual(Math.max(...air) + 1e-9)
        }
        const warmer = soilOf(air.map((one, i) => (i === at % air.length ? one + 5 : one)))
        for (const [i, one] of soil.entries()) expect(warmer[i]! - one).toBeGreaterThanOrEqual(-1e-9)
      }),
    )
  })
})

describe('heat units since an application', () => {
  const series = seriesOf(steady(20, 10, 20))

  test('they begin the day after it and are due on the day that reaches the threshold', () => {
    // 15 a day: 5 days from 2 May to 6 May are 75; 200 is reached on the 14th day, 15 May.
    expect(heatUnits(series, '2026-05-01', '2026-05-06', 0, 200)).toEqual({ sum: 75, due: '2026-05-15' })
    expect(heatUnits(series, '2026-05-01', '2026-05-06', 10, 200)).toEqual({ sum: 25, due: undefined })
    expect(heatUnits(series, '2026-05-06', '2026-05-06', 0, undefined)).toEqual({ sum: 0, due: undefined })
  })

  test('a hole leaves the sum unknown, and so does weather that ends before today', () => {
    const hole = seriesOf([day('2026-05-01', 10, 20), day('2026-05-06', 10, 20)])
    expect(heatUnits(hole, '2026-05-01', '2026-05-06', 0, 5).sum).toBeUndefined()
    expect(heatUnits(series, '2026-05-01', '2026-06-06', 0, 200)).toEqual({
      sum: undefined,
      due: '2026-05-15',
    })
    expect(heatUnits(series, '2026-04-01', '2026-05-06', 0, 200).sum).toBeUndefined()
  })
})

test('a simulated year is the climate’s, the same from the same seed', () => {
  const climate = {
    mean: 14,
    swing: 11,
    coldest: 20,
    dayRange: 11,
    wetDays: 0.3,
    rainDepth: 0.008,
    humidity: 68,
  }
  const days = simulatedClimate(climate, '2024-01-01', 3653, 7)
  expect(simulatedClimate(climate, '2024-01-01', 3653, 7)).toEqual(days)
  const mean = (of: (one: WeatherDay) => number) => days.reduce((sum, one) => sum + of(one), 0) / days.length
  expect(mean(({ least, most }) => (least + most) / 2)).toBeCloseTo(14, 0)
  expect(mean(({ rain = 0 }) => Number(rain > 0))).toBeCloseTo(0.3, 1)
  expect(usualMean(climate, 20)).toBeCloseTo(3, 6)
  expect(days.every(({ least, most }) => least < most)).toBe(true)
})
