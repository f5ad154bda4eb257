import { dayNumber, dayOfNumber } from '../calendar/dayNumber'
import { err, ok, type Result } from '../result'
import { meanOfDay, type WeatherDay } from './weatherDay'

/** Days in a row without a hole, a row of figures for each quantity; NaN where it is not known. */
export interface WeatherSeries {
  /** Number of the first day (calendar/dayNumber). */
  readonly first: number
  readonly length: number
  readonly least: Float64Array
  readonly most: Float64Array
  readonly mean: Float64Array
  readonly humidity: Float64Array
  readonly rain: Float64Array
  readonly soil: Float64Array
  /** Number of the last day that came true; the days after it are forecast. */
  readonly lastSeen: number
  /** Days that were missing and are bridged from their neighbours. */
  readonly bridged: readonly string[]
  /** Holes too long to be bridged, first and last day. */
  readonly holes: readonly { readonly from: string; readonly to: string }[]
}

export interface SeriesError {
  readonly kind: 'twice' | 'turned' | 'absurd'
  /** Place in the list that was given. */
  readonly index: number
  readonly message: string
}

/** A hole of so many days is bridged in a straight line, and said; a longer one is not known. */
const MOST_BRIDGED = 3

/**
 * Puts days in their order and bridges short holes.
 * @param days in any order; of a forecast and a measured day the measured one counts
 * @returns errors `absurd` (no such temperature), `turned` (least above most), `twice` (a day told twice and
 *   differently)
 */
export function weatherSeries(days: readonly WeatherDay[]): Result<WeatherSeries, SeriesError> {
  const absurd = days.findIndex((day) =>
    [day.least, day.most, day.mean, day.soil].some((one) => one !== undefined && !isLikely(one)),
  )
  if (absurd >= 0)
    return err({
      kind: 'absurd',
      index: absurd,
      message: `No place was ever as on ${days[absurd]?.on}: is the unit of its temperatures the right one?`,
    })
  const turned = days.findIndex(({ least, most }) => least > most)
  if (turned >= 0)
    return err({
      kind: 'turned',
      index: turned,
      message: `The least temperature of ${days[turned]?.on} is above its most: were the two exchanged?`,
    })
  const byDay = new Map<number, WeatherDay>()
  for (const [index, day] of days.entries()) {
    const at = dayNumber(day.on)
    const there = byDay.get(at)
    if (there && there.forecast === day.forecast && !sameDay(there, day))
      return err({
        kind: 'twice',
        index,
        message: `${day.on} is there twice, with other figures: leave one of them.`,
      })
    if (!there || there.forecast) byDay.set(at, day)
  }
  return ok(inOrder(byDay))
}

/** Colder and hotter was never measured, °C. */
const isLikely = (degrees: number): boolean => degrees >= -90 && degrees <= 60

const sameDay = (a: WeatherDay, b: WeatherDay): boolean =>
  QUANTITIES.every((name) => valueOf(a, name) === valueOf(b, name))

const QUANTITIES = ['least', 'most', 'mean', 'humidity', 'rain', 'soil'] as const
type QuantityName = (typeof QUANTITIES)[number]

const valueOf = (day: WeatherDay, name: QuantityName): number | undefined =>
  name === 'mean' ? meanOfDay(day) : day[name]

function inOrder(byDay: ReadonlyMap<number, WeatherDay>): WeatherSeries {
  const numbers = [...byDay.keys()].toSorted((a, b) => a - b)
  const first = numbers[0] ?? 0
  const length = numbers.length === 0 ? 0 : (numbers.at(-1) ?? first) - first + 1
  const row = (name: QuantityName): Float64Array => {
    const values = new Float64Array(length).fill(Number.NaN)
    for (const [at, day] of byDay) values[at - first] = valueOf(day, name) ?? Number.NaN
    return values
  }
  const rows = Object.fromEntries(QUANTITIES.map((name) => [name, row(name)])) as Record<
    QuantityName,
    Float64Array
  >
  const bridged: string[] = []
  const holes: { from: string; to: string }[] = []
  for (const [i, at] of numbers.entries()) {
    const next = numbers[i + 1] ?? at + 1
    const missing = next - at - 1
    if (missing === 0) continue
    if (missing > MOST_BRIDGED) {
      holes.push({ from: dayOfNumber(at + 1), to: dayOfNumber(next - 1) })
      continue
    }
    for (let day = at + 1; day < next; day++) bridged.push(dayOfNumber(day))
    // Rain does not run in a straight line from one day to another: it stays unknown.
    for (const name of ['least', 'most', 'mean', 'humidity', 'soil'] as const)
      bridge(rows[name], at - first, next - first)
  }
  const seen = numbers.filter((at) => byDay.get(at)?.forecast === false)
  return { first, length, ...rows, lastSeen: seen.at(-1) ?? first - 1, bridged, holes }
}

/** Fills what lies between two places by a straight line. */
function bridge(values: Float64Array, from: number, to: number): void {
  const [a = Number.NaN, b = Number.NaN] = [values[from], values[to]]
  for (let i = from + 1; i < to; i++) values[i] = a + ((b - a) * (i - from)) / (to - from)
}
