import { dayNumber, dayOfNumber } from '../calendar/dayNumber'
import { counted, sumOf } from '../quantity/counting'
import { remembered } from '../remembered'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import type { WeatherSeries } from './weatherSeries'

/** A reading of a probe at 2 in on an area. */
export interface ProbeReading {
  /** YYYY-MM-DD */
  readonly on: string
  /** °C */
  readonly soil: number
}

/** How the soil of one area follows the air of its station. */
export interface SoilFit {
  /** Days in which the soil makes good 63 % of what the air is ahead of it. */
  readonly timeConstant: number
  /** Two standard deviations of it; undefined where it was not fitted. */
  readonly timeConstantGive: number | undefined
  /** What the soil is above the lagged air, K. */
  readonly offset: number
  /** Two standard deviations of the offset, K. */
  readonly offsetGive: number
  /** One standard deviation of one day's soil about the fit, K. */
  readonly spread: number
  /** Readings it was fitted to. */
  readonly readings: number
}

export interface SoilSeries {
  /** °C at 2 in by day of the series; NaN where it is not known. */
  readonly soil: Float64Array
  /** Two standard deviations, K. */
  readonly give: Float64Array
  readonly fit: SoilFit
}

/** Soil at 2 in makes good what the air is ahead in about so many days (trade.md 10). */
const TIME_CONSTANT_DAYS = 6
/** With so many readings the time constant is fitted too. */
const ENOUGH_FOR_TIME = 8
const [SHORTEST_DAYS, LONGEST_DAYS] = [1, 30]
/** One standard deviation before a probe was read (house defaults): a day about the model, the offset. K */
const [USUAL_SPREAD, USUAL_OFFSET_DOUBT] = [1, 2.5]
/** How many readings what is usual weighs as much as. */
const USUAL_WEIGHT = 4
/** What the first day of a series may be off: the soil remembers weeks before it. K */
const START_DOUBT = 4
/** One standard deviation of a station's own soil reading, K. */
const MEASURED_SPREAD = 0.5

/**
 * The soil lags behind daily means of air: s becomes s + (air - s)(1 - exp(-1/constant)), from the first mean
 * on; begun anew after a hole. Where the station measured its soil, that is taken.
 * @param constant days
 */
function laggedAir(
  { mean, soil, length }: Pick<WeatherSeries, 'mean' | 'soil' | 'length'>,
  constant: number,
): Float64Array {
  const share = 1 - Math.exp(-1 / constant)
  const lagged = new Float64Array(length)
  let last = Number.NaN
  for (let i = 0; i < length; i++) {
    const air = mean[i] ?? Number.NaN
    const measured = soil[i] ?? Number.NaN
    if (!Number.isNaN(measured)) last = measured
    else if (Number.isNaN(last)) last = air
    else last += share * (air - last)
    lagged[i] = last
  }
  return lagged
}

/** With the usual time constant it is the same for every area of a station. */
const usualLag = remembered((series: WeatherSeries) => laggedAir(series, TIME_CONSTANT_DAYS))

/**
 * Fits the offset (and with readings enough the time constant) of one area to its own probe readings.
 * @param probes those outside the series say nothing
 * Source: trade.md 10 (first-order lag of daily mean air).
 */
export function fitSoil(series: WeatherSeries, probes: readonly ProbeReading[]): SoilFit {
  const readings = probes
    .map(({ on, soil }) => ({ at: dayNumber(on) - series.first, soil }))
    .filter(({ at }) => at >= 0 && at < series.length && !Number.isNaN(series.mean[at] ?? Number.NaN))
  const n = readings.length
  if (n === 0)
    return {
      timeConstant: TIME_CONSTANT_DAYS,
      timeConstantGive: undefined,
      offset: 0,
      offsetGive: 2 * USUAL_OFFSET_DOUBT,
      spread: USUAL_SPREAD,
      readings: 0,
    }
  const against = (constant: number) => {
    const lagged = constant === TIME_CONSTANT_DAYS ? usualLag(series) : laggedAir(series, constant)
    const residuals = readings.map(({ at, soil }) => soil - (lagged[at] ?? Number.NaN))
    const offset = sumOf(residuals, (one) => one) / n
    return { offset, squares: sumOf(residuals, (one) => (one - offset) ** 2) }
  }
  const fitted = n >= ENOUGH_FOR_TIME
  const timeConstant = fitted
    ? leastOf((constant) => against(constant).squares, SHORTEST_DAYS, LONGEST_DAYS)
    : TIME_CONSTANT_DAYS
  const { offset, squares } = against(timeConstant)
  const freedom = n - (fitted ? 2 : 1)
  const spread = Math.sqrt((USUAL_WEIGHT * USUAL_SPREAD ** 2 + squares) / (USUAL_WEIGHT + freedom))
  return {
    timeConstant,
    timeConstantGive: fitted
      ? giveOf((constant) => against(constant).squares, timeConstant, spread)
      : undefined,
    offset,
    offsetGive: 2 * Math.sqrt(1 / (n / spread ** 2 + 1 / USUAL_OFFSET_DOUBT ** 2)),
    spread,
    readings: n,
  }
}

/**
 * Soil at 2 in of one area, day by day; what is forecast counts as it is foretold.
 * @param book gets the page `soil`: the fit, and the last day's arithmetic
 */
export function soilTemperature(
  series: WeatherSeries,
  probes: readonly ProbeReading[],
  book: WorkingBook = closedWorkingBook,
): SoilSeries {
  const fit = fitSoil(series, probes)
  const lagged =
    fit.timeConstant === TIME_CONSTANT_DAYS ? usualLag(series) : laggedAir(series, fit.timeConstant)
  const soil = new Float64Array(series.length)
  book.note('soil', () => soilWorking(series, lagged, fit))
  for (let i = 0; i < series.length; i++) soil[i] = lagged[i]! + fit.offset
  return { soil, give: giveAlong(series, lagged, fit), fit }
}

/** Areas as sure of their offset as the one before share its give: with one reading each they all do. */
function giveAlong(
  series: WeatherSeries,
  lagged: Float64Array,
  { timeConstant, spread, offsetGive, readings }: SoilFit,
): Float64Array {
  const ofArea = spread * spread + (offsetGive * offsetGive) / 4
  const last = lastGive(series)
  if (last.timeConstant === timeConstant && last.ofArea === ofArea && last.readings === readings)
    return last.give
  const give = new Float64Array(series.length)
  const fade = Math.exp(-1 / timeConstant)
  let start = START_DOUBT
  for (let i = 0; i < series.length; i++) {
    const measured = !Number.isNaN(series.soil[i]!)
    if (Number.isNaN(lagged[i]!)) start = START_DOUBT
    else start = measured ? 0 : start * fade
    // A station's soil is its own: without a probe it is taken for the area's.
    const squares = measured && readings === 0 ? MEASURED_SPREAD * MEASURED_SPREAD : ofArea
    give[i] = 2 * Math.sqrt(squares + start * start)
  }
  Object.assign(last, { timeConstant, ofArea, readings, give })
  return give
}

const lastGive = remembered((_: WeatherSeries) => ({
  timeConstant: Number.NaN,
  ofArea: Number.NaN,
  readings: 0,
  give: new Float64Array(0),
}))

function soilWorking(series: WeatherSeries, lagged: Float64Array, fit: SoilFit): readonly string[] {
  const { timeConstant, offset, readings } = fit
  const last = series.length - 1
  const [before = Number.NaN, now = Number.NaN] = [lagged[last - 1], lagged[last]]
  return [
    readings === 0
      ? `No probe was read: no offset, time constant ${sixDigits(timeConstant)} d`
      : `Offset, mean of ${counted(readings, 'reading')} less lagged air: ${sixDigits(offset)} K ` +
        `(± ${sixDigits(fit.offsetGive)}); time constant ${sixDigits(timeConstant)} d` +
        (fit.timeConstantGive === undefined ? '' : ` (± ${sixDigits(fit.timeConstantGive)}, fitted)`),
    `Share made good in a day: 1 - exp(-1 / ${sixDigits(timeConstant)}) = ` +
      sixDigits(1 - Math.exp(-1 / timeConstant)),
    ...(series.bridged.length > 0 ? [`Bridged from their neighbours: ${series.bridged.join(', ')}`] : []),
    ...series.holes.map(({ from, to }) => `Not known: ${from} to ${to}`),
    ...(Number.isNaN(before) || Number.isNaN(now)
      ? []
      : [
          `Lagged air of ${dayOfNumber(series.first + last)}: ${sixDigits(before)} + share x ` +
            `(${sixDigits(series.mean[last] ?? Number.NaN)} - ${sixDigits(before)}) = ${sixDigits(now)} °C`,
          `Soil: ${sixDigits(now)} + ${sixDigits(offset)} = ${sixDigits(now + offset)} °C`,
        ]),
  ]
}

const GOLDEN = (Math.sqrt(5) - 1) / 2
const COARSE_STEPS = 29

/** Where a smooth curve is least: looked for on a grid, then by the golden section beside the best of it. */
function leastOf(curve: (x: number) => number, from: number, to: number): number {
  const step = (to - from) / COARSE_STEPS
  const grid = Array.from({ length: COARSE_STEPS + 1 }, (_, i) => from + i * step)
  const best = grid.reduce((least, x) => (curve(x) < curve(least) ? x : least), from)
  let [a, b] = [Math.max(from, best - step), Math.min(to, best + step)]
  while (b - a > 0.01) {
    const [left, right] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)]
    if (curve(left) < curve(right)) b = right
    else a = left
  }
  return (a + b) / 2
}

/** Two standard deviations from how steeply the squares grow beside their least. */
function giveOf(squares: (x: number) => number, at: number, spread: number): number {
  const step = Math.min(1, at / 2)
  const bend = (squares(at + step) - 2 * squares(at) + squares(at - step)) / step ** 2
  return bend > 0 ? 2 * spread * Math.sqrt(2 / bend) : LONGEST_DAYS
}
