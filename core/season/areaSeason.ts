import { dayNumber, dayOfNumber } from '../calendar/dayNumber'
import type { GrassName } from '../ground/grasses'
import type { ProductKind } from '../label/productDocument'
import { toldTemperature } from '../quantity/toldTemperature'
import type { TemperatureUnit } from '../quantity/units'
import { remembered } from '../remembered'
import { ok, type Result } from '../result'
import { diseaseIndices, type DiseaseIndex } from '../weather/diseaseIndices'
import { heatUnits, heatUnitsOfDay } from '../weather/heatUnits'
import { soilTemperature, type ProbeReading, type SoilFit, type SoilSeries } from '../weather/soilTemperature'
import { usualOn, usualYear, type UsualYear } from '../weather/usualYear'
import type { WeatherDay } from '../weather/weatherDay'
import { weatherSeries, type SeriesError, type WeatherSeries } from '../weather/weatherSeries'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { coverageLines, type CoverageLine } from './coverageLines'
import { endOf, type EndRule } from './ends'
import type { LaidOnArea } from './laidOnArea'
import { regulatorUnits } from './regulators'
import { suppression, type Suppression } from './suppression'
import type { SeasonWindow } from './windows/seasonWindow'
import { seasonWindows } from './windows/seasonWindows'

export interface SeasonGround {
  readonly grasses: readonly GrassName[]
  /** Degrees, south below zero. */
  readonly latitude: number
  readonly overseeding: string | undefined
}

/** A regulator that is counted against its heat units. */
export interface RegulatorCount {
  readonly product: string
  readonly since: string
  readonly base: number
  readonly threshold: number
  /** Undefined where a day is not known. */
  readonly sum: number | undefined
  /** The day it is counted to, YYYY-MM-DD: a few days back where the weather has not come yet. */
  readonly countedTo: string
  /** The day it comes back: by the days that are known, or about, by the usual year. */
  readonly due: string | undefined
  readonly known: boolean
  /** The earliest and latest of it, where days are still to come. */
  readonly early: string | undefined
  readonly late: string | undefined
  /** Where its growth stands today; undefined where the units are not known. */
  readonly growth: Suppression | undefined
}

/** One day of soil at 2 in; `give` is two standard deviations, K. */
export interface SoilDay {
  readonly on: string
  /** °C; absent where it is not known. */
  readonly soil?: number
  readonly give?: number
  /** Measured or worked out from weather that came true; forecast; or as the year usually is. */
  readonly from: 'weather' | 'forecast' | 'usual'
}

/** What one application protects or feeds, with the rule that tells its end; absent where none does. */
interface AreaLine extends CoverageLine {
  readonly product: string
  readonly by?: EndRule | undefined
  /** It brought potash. */
  readonly potash?: true
}

export interface AreaSeason {
  /** The year of today, day by day, as far as anything can be said. */
  readonly soil: readonly SoilDay[]
  readonly fit: SoilFit
  readonly probes: readonly ProbeReading[]
  readonly windows: readonly SeasonWindow[]
  readonly regulators: readonly RegulatorCount[]
  readonly lines: readonly AreaLine[]
  /** The newest of each index. */
  readonly indices: readonly DiseaseIndex[]
  /** Days that are missing from the weather of this year. */
  readonly holes: WeatherSeries['holes']
  /** The year as this soil usually is; undefined for too few days. */
  readonly usual: UsualYear | undefined
}

/** Soil comes back to what is usual with about so many days. */
const BACK_TO_USUAL_DAYS = 10

/**
 * The season of one area: soil, windows, what holds growth back, what protects and feeds.
 * @param days of its station, those of years before too @param today YYYY-MM-DD
 * @param book gets the pages `soil`, `indices` and `heatUnits.n`
 */
export function areaSeason(
  days: readonly WeatherDay[],
  probes: readonly ProbeReading[],
  ground: SeasonGround,
  laid: readonly LaidOnArea[],
  today: string,
  unit: TemperatureUnit,
  book: WorkingBook = closedWorkingBook,
): Result<AreaSeason, SeriesError> {
  const read = weatherSeries(days)
  return read.ok ? ok(seasonOfSeries(read.value, probes, ground, laid, today, unit, book)) : read
}

/** The same from days that are in order already: the areas of one station share them. */
export function seasonOfSeries(
  series: WeatherSeries,
  probes: readonly ProbeReading[],
  ground: SeasonGround,
  laid: readonly LaidOnArea[],
  today: string,
  unit: TemperatureUnit,
  book: WorkingBook = closedWorkingBook,
): AreaSeason {
  const year = today.slice(0, 4)
  const { soil, ahead, days } =
    probes.length === 0 && book === closedWorkingBook
      ? unprobedSoil(series, year)
      : soilOfYear(series, probes, year, book)
  const regulators = counted(series, ground.grasses, laid, today, book)
  const tell = (celsius: number) => toldTemperature(celsius, unit)
  const barriers = laid.filter(({ kind }) => kind === 'pre-emergent herbicide').map(({ on }) => on)
  const indices = book === closedWorkingBook ? indicesOf(series) : diseaseIndices(series, book)
  const past = indices.filter(({ on }) => on <= today)
  const newest = (['brown patch', 'dollar spot'] as const).flatMap(
    (name) => past.findLast((index) => index.name === name) ?? [],
  )
  return {
    soil: days,
    fit: soil.fit,
    probes,
    windows: seasonWindows(ahead, { ...ground, barriers }, today, tell, book),
    regulators,
    lines: linesOf(laid, regulators, newest, today),
    indices: newest,
    holes: series.holes.filter(({ to }) => to >= `${year}-01-01`),
    usual: ahead.usual,
  }
}

interface SoilOfYear {
  readonly soil: SoilSeries
  readonly ahead: SoilAhead
  readonly days: readonly SoilDay[]
}

function soilOfYear(
  series: WeatherSeries,
  probes: readonly ProbeReading[],
  year: string,
  book: WorkingBook = closedWorkingBook,
): SoilOfYear {
  const soil = soilTemperature(series, probes, book)
  const ahead = withUsual(series, soil, dayNumber(`${year}-12-31`))
  return { soil, ahead, days: daysOfYear(ahead, series, year) }
}

/** Where no probe was read it is the same for every lawn of a station. */
function unprobedSoil(series: WeatherSeries, year: string): SoilOfYear {
  const years = unprobedYears(series)
  const found = years.get(year) ?? soilOfYear(series, [], year)
  years.set(year, found)
  return found
}
const unprobedYears = remembered((_: WeatherSeries) => new Map<string, SoilOfYear>())

/** They belong to the air: the same for every lawn of a station. */
const indicesOf = remembered((series: WeatherSeries) => diseaseIndices(series))

/**
 * Least and most of air day by day, the usual year behind what is forecast, so that heat units can be counted
 * ahead.
 * @param last YYYY-MM-DD, the last day that is wanted
 */
export function airAhead(
  { first, length, least, most, mean }: WeatherSeries,
  last: string,
): Pick<WeatherSeries, 'first' | 'length' | 'least' | 'most'> {
  const usual = usualYear(first, mean)
  const more = usual ? Math.max(0, dayNumber(last) - (first + length - 1)) : 0
  const behind = Array.from({ length: more }, (_, i) => (usual ? usualOn(usual, first + length + i) : 0))
  return {
    first,
    length: length + more,
    least: Float64Array.from([...least, ...behind]),
    most: Float64Array.from([...most, ...behind]),
  }
}

/** Soil in one row of figures, beyond the weather as it comes back to the usual year. */
interface SoilAhead {
  readonly first: number
  readonly soil: Float64Array
  readonly give: Float64Array
  readonly usual: UsualYear | undefined
}

function withUsual(series: WeatherSeries, { soil, give, fit }: SoilSeries, last: number): SoilAhead {
  const { first, length } = series
  const usual = usualYear(first, soil)
  const more = usual ? Math.max(0, last - (first + length - 1)) : 0
  const ahead = {
    first,
    soil: new Float64Array(length + more),
    give: new Float64Array(length + more),
    usual,
  }
  ahead.soil.set(soil)
  ahead.give.set(give)
  if (!usual) return ahead
  // How years differ, and how sure it is where the area's soil stands above its air.
  const far = Math.hypot(2 * usual.spread, fit.offsetGive)
  const newest = soil[length - 1] ?? Number.NaN
  const off = Number.isNaN(newest) ? 0 : newest - usualOn(usual, first + length - 1)
  const sure = Number.isNaN(newest) ? 0 : (give[length - 1] ?? 0)
  for (let i = 0; i < more; i++) {
    const left = Math.exp(-(i + 1) / BACK_TO_USUAL_DAYS)
    ahead.soil[length + i] = usualOn(usual, first + length + i) + off * left
    ahead.give[length + i] = Math.hypot(far * Math.sqrt(1 - left ** 2), sure * left)
  }
  return ahead
}

/** The days of one year, each with where it is known from. */
function daysOfYear(
  { first, soil, give }: SoilAhead,
  series: WeatherSeries,
  year: string,
): readonly SoilDay[] {
  const from = Math.max(0, dayNumber(`${year}-01-01`) - first)
  const to = Math.min(soil.length, dayNumber(`${Number(year) + 1}-01-01`) - first)
  return Array.from({ length: Math.max(0, to - from) }, (_, i): SoilDay => {
    const place = from + i
    const value = soil[place] ?? Number.NaN
    return {
      on: dayOfNumber(first + place),
      ...(!Number.isNaN(value) && { soil: value, give: give[place] ?? 0 }),
      from: place >= series.length ? 'usual' : first + place > series.lastSeen ? 'forecast' : 'weather',
    }
  })
}

/** The newest application of each regulator against what is published of it. */
function counted(
  series: WeatherSeries,
  grasses: readonly GrassName[],
  laid: readonly LaidOnArea[],
  today: string,
  book: WorkingBook,
): readonly RegulatorCount[] {
  const regulators = laid
    .filter(({ kind }) => kind === 'growth regulator')
    .toSorted((a, b) => a.on.localeCompare(b.on))
  const newest = [...new Map(regulators.map((one) => [one.product, one])).values()]
  const countedTo = lastKnownDay(series, today)
  const usual = newest.length === 0 ? undefined : usualYear(series.first, series.mean)
  return newest.flatMap(({ product, active, on }, i) => {
    const units = regulatorUnits(active, grasses)
    if (!units) return []
    const { base, threshold } = units
    const count = heatUnits(series, on, countedTo, base, threshold, `heatUnits.${i}`, book)
    const ahead = (shift: number) => usual && usualDue(series, usual, on, base, threshold, shift)
    const known = count.due !== undefined
    const comes = !known && usual !== undefined
    return [
      {
        product,
        since: on,
        base,
        threshold,
        sum: count.sum,
        countedTo,
        due: count.due ?? ahead(0),
        known,
        early: comes ? ahead(1) : undefined,
        late: comes ? ahead(-1) : undefined,
        growth: count.sum === undefined ? undefined : suppression(count.sum, threshold),
      },
    ]
  })
}

/** A file of daily weather ends yesterday, or over a weekend. */
const LATE_WEATHER_DAYS = 3

/** Today, or the last day before it that is known, if that is not long ago. */
function lastKnownDay({ first, length, least, most }: WeatherSeries, today: string): string {
  const now = dayNumber(today)
  for (let back = 0; back <= LATE_WEATHER_DAYS; back++) {
    const i = now - back - first
    if (i < length && !Number.isNaN(least[i] ?? Number.NaN) && !Number.isNaN(most[i] ?? Number.NaN))
      return dayOfNumber(now - back)
  }
  return today
}

/** Warm spells last: so many days of them vary together about as one (persistence 0.72 from day to day). */
const SPELL_DAYS = (1 + 0.72) / (1 - 0.72)

/**
 * The day a threshold is reached when the days after the series are as usual.
 * @param shift 1 for two standard deviations warmer all along, -1 for colder, 0 for as usual
 */
function usualDue(
  series: WeatherSeries,
  usual: UsualYear,
  since: string,
  base: number,
  threshold: number,
  shift: number,
): string | undefined {
  const end = series.first + series.length - 1
  const { sum: before } = heatUnits(series, since, dayOfNumber(end), base, undefined)
  if (before === undefined) return undefined
  let sum = before
  for (let day = end + 1; day <= end + 366; day++) {
    const mean = usualOn(usual, day)
    sum += heatUnitsOfDay(mean, mean, base)
    const off = 2 * usual.spread * Math.sqrt((day - end) * SPELL_DAYS)
    if (sum + shift * off >= threshold) return dayOfNumber(day)
  }
  return undefined
}

/** What is not of these kinds neither protects nor feeds by days. */
const LASTING: Readonly<Partial<Record<ProductKind, string>>> = {
  'pre-emergent herbicide': 'Barrier',
  fungicide: 'Fungicide',
  insecticide: 'Insecticide',
  'growth regulator': 'Growth regulator',
  fertilizer: 'Feed',
  iron: 'Iron',
  'wetting agent': 'Wetting agent',
}

/** What feeds or helps, and protects from nothing. */
const FEEDING: ReadonlySet<string> = new Set(['Feed', 'Iron', 'Wetting agent'])

function linesOf(
  laid: readonly LaidOnArea[],
  regulators: readonly RegulatorCount[],
  indices: readonly DiseaseIndex[],
  today: string,
): AreaSeason['lines'] {
  const indexActs = indices.some(({ act }) => act)
  const lasting = laid.flatMap((application) => {
    const { on, kind, product, k2o } = application
    const what = kind === '' ? undefined : LASTING[kind]
    if (what === undefined) return []
    const count = regulators.find((one) => one.product === product && one.since === on)
    const end = endOf({ ...application, heatDue: count?.due }, { indexActs })
    const potash = typeof k2o === 'number' && k2o > 0
    return [{ on, what, product, to: end?.to, by: end?.by, ...(potash && { potash: true as const }) }]
  })
  const inOrder = lasting.toSorted((a, b) => a.on.localeCompare(b.on))
  return coverageLines(inOrder, today).map((line, i): AreaLine => {
    const { product = '', by, potash } = inOrder[i] ?? {}
    // Turf rests between feeds, in winter above all: that is no gap, unless a label gave the days.
    const gapTo = FEEDING.has(line.what) && by !== 'label' ? undefined : line.gapTo
    return { ...line, gapTo, product, by, ...(potash && { potash }) }
  })
}
