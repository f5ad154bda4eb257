import type { WeatherHour } from './hours/weatherHour'
import type { WeatherDay } from './weatherDay'

/** The weather of one day at a site as its station tells it: measured, or forecast. SI. */
export interface DayConditions {
  readonly on: string
  /** The station's name. */
  readonly station: string
  readonly forecast: boolean
  /** °C */
  readonly least: number
  readonly most: number
  /** m */
  readonly rain?: number | undefined
  /** Wind of each working hour, m/s; none where it is not known. */
  readonly winds: readonly number[]
  /** Soil at 2 in of each area, °C, and two standard deviations, K. */
  readonly soils: readonly { readonly areaId: string; readonly soil: number; readonly give: number }[]
}

/** Clock hours in which lawns are worked on. */
const WORK = { from: 6, to: 20 } as const

/** @returns undefined where the station says nothing of the day */
export function dayConditions(
  on: string,
  station: string,
  days: readonly WeatherDay[],
  hours: readonly WeatherHour[],
  soils: DayConditions['soils'],
): DayConditions | undefined {
  const day = days.find((one) => one.on === on)
  if (!day) return undefined
  const working = hours.filter((one) => one.on === on && one.hour >= WORK.from && one.hour < WORK.to)
  return {
    on,
    station,
    forecast: day.forecast,
    least: day.least,
    most: day.most,
    rain: day.rain,
    winds: working.flatMap(({ wind }) => wind ?? []),
    soils,
  }
}
