import type { WeatherHour } from '../hours/weatherHour'
import type { WeatherDay } from '../weatherDay'

/** A line of a file that was not taken, and why. */
export interface FileProblem {
  readonly line: number
  readonly message: string
}

/** What a file of weather holds: days in their order, and what is wrong in it. */
export interface WeatherFile {
  readonly days: readonly WeatherDay[]
  /** Where it tells the hours: its days follow from them. */
  readonly hours?: readonly WeatherHour[]
  readonly problems: readonly FileProblem[]
  /** Its temperatures name no unit: somebody has to say it. */
  readonly unitsUntold?: true
}

/** How a file writes what was not measured. */
export const MISSING = -9999

type Quantities = Partial<Omit<WeatherDay, 'on' | 'forecast'>>

/** Days put together from single figures; a day without a least and a most is none. */
export interface DayCollector {
  readonly add: (on: string, figures: Quantities) => void
  readonly days: () => readonly WeatherDay[]
}

export function dayCollector(): DayCollector {
  const found = new Map<string, Quantities>()
  return {
    add: (on, figures) => {
      found.set(on, { ...found.get(on), ...figures })
    },
    days: () => [...found].toSorted(([a], [b]) => a.localeCompare(b)).flatMap(([on, day]) => whole(on, day)),
  }
}

function whole(on: string, { least, most, ...rest }: Quantities): readonly WeatherDay[] {
  return least === undefined || most === undefined ? [] : [{ on, least, most, ...rest, forecast: false }]
}

/** A real day of the calendar from its three numbers; undefined for 30 February. */
export function calendarDay(year: number, month: number, day: number): string | undefined {
  const [y, m, d] = [
    String(year).padStart(4, '0'),
    String(month).padStart(2, '0'),
    String(day).padStart(2, '0'),
  ]
  const text = `${y}-${m}-${d}`
  const read = new Date(`${text}T00:00:00Z`)
  return Number.isNaN(read.getTime()) || read.toISOString().slice(0, 10) !== text ? undefined : text
}
