import { dayNumber } from '../core/calendar/dayNumber'
import { toldTemperature } from '../core/quantity/toldTemperature'
import { seasonWindows } from '../core/season/windows/seasonWindows'
import { heatUnits } from '../core/weather/heatUnits'
import { simulatedClimate } from '../core/weather/simulatedClimate'
import { soilTemperature } from '../core/weather/soilTemperature'
import { weatherSeries } from '../core/weather/weatherSeries'
import { round } from './statistics'

const [AREAS, DAYS] = [10_000, 400]
const FROM = '2025-04-01'
const TODAY = '2026-04-20'

/** Soil, windows and heat units of ten thousand areas by one station, each with a probe of its own. */
export function seasonBench() {
  const read = weatherSeries(
    simulatedClimate(
      {
        mean: 11,
        swing: 11,
        coldest: 30,
        dayRange: 10,
        wetDays: 0.3,
        rainDepth: 0.008,
        humidity: 72,
      },
      FROM,
      DAYS,
      1,
    ),
  )
  if (!read.ok) throw new Error(read.error.message)
  const series = read.value
  const ground = {
    grasses: ['creeping bentgrass' as const],
    latitude: 41,
    overseeding: undefined,
    barriers: ['2026-03-24'],
  }
  const tell = (celsius: number) => toldTemperature(celsius, '°F')
  const begun = performance.now()
  let open = 0
  for (let i = 0; i < AREAS; i++) {
    const probes = [{ on: '2026-04-05', soil: 6 + (i % 50) / 10 }]
    const { soil } = soilTemperature(series, probes)
    const windows = seasonWindows({ first: dayNumber(FROM), soil }, ground, TODAY, tell)
    open += windows.filter(({ state }) => state === 'open').length
    open += heatUnits(series, '2026-04-01', TODAY, 0, 200).sum ?? 0
  }
  if (open === 0) throw new Error('nothing was worked out')
  return { areas: AREAS, days: DAYS, seconds: round((performance.now() - begun) / 1000) }
}
