import { meanOf, sumOf } from '../quantity/counting'

/** A month of days in a few figures. */
export interface WeatherMonth {
  /** YYYY-MM */
  readonly month: string
  readonly days: number
  /** Means of least and most, °C. */
  readonly least: number
  readonly most: number
  /** Sum of the days that are known, m; undefined where none is. */
  readonly rain: number | undefined
}

/** Day, least and most °C, rain in m. */
export type DayRow = readonly [string, number, number, number | null]

/** Days month by month, in their order. */
export function monthsOfDays(days: readonly DayRow[]): readonly WeatherMonth[] {
  const months = new Map<string, DayRow[]>()
  for (const day of days) {
    const month = day[0].slice(0, 7)
    const own = months.get(month)
    if (own) own.push(day)
    else months.set(month, [day])
  }
  return [...months].map(([month, own]) => {
    const rains = own.flatMap(([, , , rain]) => rain ?? [])
    return {
      month,
      days: own.length,
      least: meanOf(own.map(([, least]) => least)),
      most: meanOf(own.map(([, , most]) => most)),
      rain: rains.length === 0 ? undefined : sumOf(rains, (one) => one),
    }
  })
}
