import { expect, test } from 'vitest'
import { responseDays, soilUnder } from '../../test/support/layeredSoil'
import { drawsFrom, normal } from '../quantity/draws'
import { simulatedClimate, type Climate } from '../simulated/simulatedClimate'
import { fitSoil } from './soilTemperature'
import { meanOfDay } from './weatherDay'
import { weatherSeries } from './weatherSeries'

const CLIMATE: Climate = {
  mean: 13,
  swing: 11,
  coldest: 20,
  dayRange: 11,
  wetDays: 0.3,
  rainDepth: 0.008,
  humidity: 68,
}
const YEARS = 1000

test('a hidden offset and time constant lie inside their bands in 90 to 99 of 100 years', () => {
  let [offsets, times] = [0, 0]
  for (let year = 0; year < YEARS; year++) {
    const draw = drawsFrom(70_000 + year)
    const days = simulatedClimate(CLIMATE, '2025-01-01', 365, year + 1)
    const truth = {
      offset: -2 + 4 * draw(),
      days: 3.5 + 5 * draw(),
      below: [0.004, 0.002],
    }
    const soil = soilUnder(days.map(meanOfDay), truth)
    const readings = Array.from({ length: 12 + Math.floor(24 * draw()) }, () => {
      const at = 60 + Math.floor(250 * draw())
      return { on: days[at]!.on, soil: (soil[at] ?? 0) + normal(draw, 0.6) }
    })
    const series = weatherSeries(days)
    if (!series.ok) throw new Error(series.error.message)
    const fit = fitSoil(series.value, readings)
    if (Math.abs(fit.offset - truth.offset) <= fit.offsetGive) offsets += 1
    if (Math.abs(fit.timeConstant - responseDays(truth)) <= (fit.timeConstantGive ?? 0)) times += 1
  }
  for (const held of [offsets, times]) {
    expect(held / YEARS).toBeGreaterThanOrEqual(0.9)
    expect(held / YEARS).toBeLessThanOrEqual(0.99)
  }
})
