import { dayNumber } from '../core/calendar/dayNumber'
import { toldTemperature } from '../core/quantity/toldTemperature'
import { crossing } from '../core/season/windows/crossing'
import { halfYearOf } from '../core/season/windows/halfYear'
import { seasonWindows } from '../core/season/windows/seasonWindows'
import { heatUnits } from '../core/weather/heatUnits'
import { simulatedClimate } from '../core/simulated/simulatedClimate'
import { soilTemperature } from '../core/weather/soilTemperature'
import { weatherSeries, type WeatherSeries } from '../core/weather/weatherSeries'
import { bestInTurn, ranInCpp, timed } from './inCpp'
import { round } from './statistics'

const [AREAS, DAYS] = [10_000, 400]
const RUNS = 4
const FROM = '2025-04-01'
const TODAY = '2026-04-20'
const PROBE_ON = '2026-04-05'
const HEAT_FROM = '2026-04-01'
/** The fold in C++ opens its barrier at 10 °C, from 1 January on. */
const OPENS_AT = 10
const CLIMATE = {
  mean: 11,
  swing: 11,
  coldest: 30,
  dayRange: 10,
  wetDays: 0.3,
  rainDepth: 0.008,
  humidity: 72,
}

/**
 * Soil, windows and heat units of ten thousand areas by one station, each with a probe of its own; and beside
 * it the plain arithmetic of it, the same in C++ at -O3 where a compiler is there.
 */
export function seasonBench() {
  const read = weatherSeries(simulatedClimate(CLIMATE, FROM, DAYS, 1))
  if (!read.ok) throw new Error(read.error.message)
  const series = read.value
  const [fold, cpp] = bestInTurn(
    RUNS,
    () => timed(() => foldOf(series)),
    () => foldInCpp(series),
  )
  if (cpp && !agree(fold.value, cpp)) throw new Error('the folds do not come to the same')
  return {
    areas: AREAS,
    days: DAYS,
    seconds: round(timed(() => wholeOf(series)).seconds),
    fold: {
      seconds: round(fold.seconds),
      cppSeconds: cpp?.seconds,
      times: cpp && round(fold.seconds / cpp.seconds),
    },
  }
}

const probeOf = (area: number) => ({ on: PROBE_ON, soil: 6 + (area % 50) / 10 })

/** Everything a board needs of an area, its sentences too. */
function wholeOf(series: WeatherSeries): number {
  const ground = {
    grasses: ['creeping bentgrass' as const],
    latitude: 41,
    overseeding: undefined,
    barriers: ['2026-03-24'],
  }
  const tell = (celsius: number) => toldTemperature(celsius, '°F')
  let open = 0
  for (let area = 0; area < AREAS; area++) {
    const { soil } = soilTemperature(series, [probeOf(area)])
    const windows = seasonWindows({ first: dayNumber(FROM), soil }, ground, TODAY, tell)
    open += windows.filter(({ state }) => state === 'open').length
    open += heatUnits(series, HEAT_FROM, TODAY, 0, 200).sum ?? 0
  }
  if (open === 0) throw new Error('nothing was worked out')
  return open
}

interface Sums {
  readonly soil: number
  readonly give: number
  readonly heat: number
  readonly opened: number
}

function foldOf(series: WeatherSeries): Sums {
  const sums = { soil: 0, give: 0, heat: 0, opened: 0 }
  const at = dayNumber(TODAY) - series.first
  const half = halfYearOf('warming', TODAY, 41)
  for (let area = 0; area < AREAS; area++) {
    const { soil, give } = soilTemperature(series, [probeOf(area)])
    const opens = crossing({ first: series.first, soil }, half, OPENS_AT)
    sums.soil += soil[at] ?? 0
    sums.give += give[at] ?? 0
    sums.heat += heatUnits(series, HEAT_FROM, TODAY, 0, undefined).sum ?? 0
    sums.opened += opens === undefined ? 0 : opens - series.first
  }
  return sums
}

/** Undefined without a compiler. */
function foldInCpp(series: WeatherSeries): (Sums & { readonly seconds: number }) | undefined {
  const place = (day: string) => String(dayNumber(day) - series.first)
  const input = [...series.least].map((least, i) => `${least} ${series.most[i]}`).join('\n')
  const days = [PROBE_ON, TODAY, HEAT_FROM, '2026-01-01'].map(place)
  const out = ranInCpp('seasonFold.cpp', [String(AREAS), ...days], input)
  const [soil = 0, give = 0, heat = 0, opened = 0, seconds = 0] = out ?? []
  return out && { soil, give, heat, opened, seconds }
}

const agree = (a: Sums, b: Sums): boolean =>
  (['soil', 'give', 'heat', 'opened'] as const).every(
    (name) => Math.abs(a[name] - b[name]) <= 1e-6 * Math.max(1, Math.abs(b[name])),
  )
