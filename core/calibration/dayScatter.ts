import { meanOf, sumOf } from '../quantity/counting'
import type { SettingPoint } from './settingPoint'

/** How much days differ: humidity, the grain of the load, the floor of the hopper. */
export interface DaySpread {
  /** One standard deviation, as a share of the flow. */
  readonly spread: number
  /** How many days say so. */
  readonly count: number
  /** Degrees of freedom that it is known with; undefined: it is taken. */
  readonly freedom: number | undefined
}

interface Scatter {
  /** Spread of the runs of one day at one setting, as a share; undefined without repeats. */
  readonly spread: number | undefined
  readonly freedom: number
  readonly days: DaySpread
}

/** What days usually differ by, taken where one day alone was tested (house default, trade.md 3). */
const USUAL = 0.03
/** Two days that happen to agree prove little: what is usual counts beside them as so many more. */
const USUAL_COUNTS_AS = 2
/** No machine repeats itself better from day to day (trade.md 3). */
const LEAST = 0.01

/**
 * How runs differ within a day, and days from each other, found apart: settings and days are fitted together,
 * so that a day on which only one setting was tested still counts for what it shares with others.
 * Source: two-way layout by least squares; the days' sum of squares against its expected value (Henderson
 *   1953, method 3), with the runs' part left in it: never too small. Few days are drawn towards
 *   what is usual.
 */
export function scatterOf(points: readonly SettingPoint[]): Scatter {
  const cells = cellsOf(points)
  const settings = new Set(cells.map(({ setting }) => setting)).size
  if (points.length === settings) return { spread: undefined, freedom: 0, days: TAKEN }
  const components = componentsOf(cells)
  const dayCount = new Set(cells.map(({ day }) => day)).size
  const freedom = points.length - settings - dayCount + components
  const dayFreedom = dayCount - components
  const within = sumOf(cells, ({ squares }) => squares)
  const bySetting = residuals(cells, onlySettings(cells))
  const byBoth = residuals(cells, settingsAndDays(cells))
  const spread = freedom > 0 ? Math.sqrt((within + byBoth) / freedom) : 0
  const weight = points.length - sumOf(cells, ({ n, ofSetting }) => (n * n) / ofSetting)
  if (dayFreedom < 1 || !(weight > 0)) return { spread, freedom: Math.max(0, freedom), days: TAKEN }
  const found = Math.max(0, bySetting - byBoth) / weight
  const known = USUAL_COUNTS_AS + dayFreedom
  const variance = (USUAL_COUNTS_AS * USUAL ** 2 + dayFreedom * found) / known
  return {
    spread,
    freedom: Math.max(0, freedom),
    // What is usual is taken as it is: only what was found is unsure.
    days: {
      spread: Math.max(LEAST, Math.sqrt(variance)),
      count: dayCount,
      freedom: found > 0 ? (known * variance) ** 2 / (dayFreedom * found ** 2) : undefined,
    },
  }
}
const TAKEN: DaySpread = { spread: USUAL, count: 1, freedom: undefined }

/** The runs of one day at one setting, as shares of the mean of that setting. */
interface Cell {
  readonly setting: number
  readonly day: number
  readonly n: number
  readonly mean: number
  /** Of its runs about their mean. */
  readonly squares: number
  /** Runs of all days at its setting. */
  readonly ofSetting: number
}

/** Settings this near to each other are one mark of the dial. */
const SAME_SETTING = 1e-6
const markOf = ({ setting }: SettingPoint) => Math.round(setting / SAME_SETTING)

function cellsOf(points: readonly SettingPoint[]): readonly Cell[] {
  const flows = new Map<number, number[]>()
  for (const point of points) add(flows, markOf(point), point.flow)
  const means = new Map([...flows].map(([mark, own]) => [mark, meanOf(own)]))
  const runs = new Map<string, { setting: number; day: number; shares: number[] }>()
  for (const point of points) {
    const mark = markOf(point)
    const [key, mean] = [`${mark} ${point.age}`, means.get(mark) ?? 0]
    const cell = runs.get(key) ?? { setting: mark, day: point.age, shares: [] }
    cell.shares.push(mean > 0 ? point.flow / mean : 1)
    runs.set(key, cell)
  }
  return [...runs.values()].map(({ setting, day, shares }) => {
    const mean = meanOf(shares)
    return {
      setting,
      day,
      n: shares.length,
      mean,
      squares: sumOf(shares, (share) => (share - mean) ** 2),
      ofSetting: flows.get(setting)?.length ?? 0,
    }
  })
}

function add(lists: Map<number, number[]>, key: number, value: number): void {
  const list = lists.get(key)
  if (list) list.push(value)
  else lists.set(key, [value])
}

/** What a fit says of a cell. */
type Fit = (cell: Cell) => number

const residuals = (cells: readonly Cell[], fit: Fit): number =>
  sumOf(cells, (cell) => cell.n * (cell.mean - fit(cell)) ** 2)

/** The mean of each setting, or of each day, of what is left of the cells. */
function meansBy(cells: readonly Cell[], key: 'setting' | 'day', left: Fit): ReadonlyMap<number, number> {
  const sums = new Map<number, { n: number; sum: number }>()
  for (const cell of cells) {
    const { n, sum } = sums.get(cell[key]) ?? { n: 0, sum: 0 }
    sums.set(cell[key], { n: n + cell.n, sum: sum + cell.n * left(cell) })
  }
  return new Map([...sums].map(([one, { n, sum }]) => [one, sum / n]))
}

function onlySettings(cells: readonly Cell[]): Fit {
  const means = meansBy(cells, 'setting', ({ mean }) => mean)
  return ({ setting }) => means.get(setting) ?? 0
}

/** Settings and days by turns until neither moves the other. */
function settingsAndDays(cells: readonly Cell[]): Fit {
  let days: ReadonlyMap<number, number> = new Map()
  let settings: ReadonlyMap<number, number> = new Map()
  for (let round = 0; round < ROUNDS; round++) {
    const before = days
    settings = meansBy(cells, 'setting', ({ mean, day }) => mean - (before.get(day) ?? 0))
    const now = settings
    days = meansBy(cells, 'day', ({ mean, setting }) => mean - (now.get(setting) ?? 0))
    const moved = Math.max(...[...days].map(([day, off]) => Math.abs(off - (before.get(day) ?? 0))))
    if (moved < STILL) break
  }
  return ({ setting, day }) => (settings.get(setting) ?? 0) + (days.get(day) ?? 0)
}
const ROUNDS = 200
const STILL = 1e-9

/** Groups of days that no setting ties to each other: their days can't be compared. */
function componentsOf(cells: readonly Cell[]): number {
  const rootOf = new Map<string, string>()
  const root = (of: string): string => {
    const above = rootOf.get(of) ?? of
    return above === of ? of : root(above)
  }
  for (const { setting, day } of cells) {
    const [one, other] = [root(`setting ${setting}`), root(`day ${day}`)]
    rootOf.set(one, one)
    rootOf.set(other, one)
  }
  return new Set([...rootOf.keys()].map(root)).size
}
