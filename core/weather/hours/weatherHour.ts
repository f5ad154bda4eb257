import { meanOf, sumOf } from '../../quantity/counting'
import { dewPoint } from '../vapour'
import type { WeatherDay } from '../weatherDay'

/**
 * One hour of weather by the clock of the place. When clocks go back an hour comes twice and the later
 * counts; when they go forward one is missing.
 */
export interface WeatherHour {
  /** YYYY-MM-DD */
  readonly on: string
  /** 0 to 23, the hour it begins. */
  readonly hour: number
  /** °C */
  readonly air: number
  /** Relative, % */
  readonly humidity?: number | undefined
  /** m/s */
  readonly wind?: number | undefined
  readonly gust?: number | undefined
  /** m */
  readonly rain?: number | undefined
  /** Chance of rain, 0 to 1, where it is forecast. */
  readonly chance?: number | undefined
  /** Not yet come true. */
  readonly forecast: boolean
}

/** With fewer hours a day has no least and most of its own. */
const LEAST_HOURS = 20

/** Days from their hours; a day with too few hours is left out. */
export function daysFromHours(hours: readonly WeatherHour[]): readonly WeatherDay[] {
  const byDay = new Map<string, WeatherHour[]>()
  for (const one of hours) byDay.set(one.on, [...(byDay.get(one.on) ?? []), one])
  return [...byDay].flatMap(([on, own]): WeatherDay[] => {
    if (own.length < LEAST_HOURS) return []
    const airs = own.map(({ air }) => air)
    const known = <T extends 'humidity' | 'rain'>(name: T): readonly number[] =>
      own.flatMap((one) => one[name] ?? [])
    const humid = known('humidity')
    const rain = known('rain')
    return [
      {
        on,
        least: Math.min(...airs),
        most: Math.max(...airs),
        mean: meanOf(airs),
        ...(humid.length >= LEAST_HOURS && { humidity: meanOf(humid) }),
        ...(rain.length >= LEAST_HOURS && { rain: sumOf(rain, (value) => value) }),
        forecast: own.some(({ forecast }) => forecast),
      },
    ]
  })
}

/** Air this near its dew point wets the leaf, K; and damper than this always does, %. */
const DEW_NEAR = 2
const DAMP = 90

/**
 * Whether the leaf is wet: rain, damp air, or air close to its dew point. An estimate, said as one.
 * @returns undefined where the humidity is not known and no rain fell
 * Source: dew point depression below 2 K, the common rule of thumb.
 */
export function isLeafWet({ air, humidity, rain = 0 }: WeatherHour): boolean | undefined {
  if (rain > 0) return true
  if (humidity === undefined || humidity <= 0) return undefined
  return humidity >= DAMP || air - dewPoint(air, humidity) < DEW_NEAR
}
