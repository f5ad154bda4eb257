import { roundedToTenths } from '../quantity/tenths'
import { dayNumber } from '../calendar/dayNumber'
import { drawsFrom, normal } from '../quantity/draws'
import { dewPoint, humidityAt } from '../weather/vapour'
import { meanOfDay, type WeatherDay } from '../weather/weatherDay'
import type { WeatherHour } from '../weather/hours/weatherHour'

/** Clock hours at which it is coldest and warmest. */
const COLDEST = 5
const WARMEST = 15
/** Usual wind of a calm place at its windiest hour, m/s, and how it varies from day to day. */
const WIND = 3.2
const WIND_SPREAD = 1.1
/** A day of rain blows more. */
const FRONT_WIND = 1.5
const GUST = 1.6
/** Share of the day's wind that is left at night. */
const NIGHT_WIND = 0.35

/** How far a day is between its least and its most, 0 to 1: up from dawn to afternoon, then down. */
function warmth(hour: number): number {
  const rise = WARMEST - COLDEST
  const since = (hour - COLDEST + 24) % 24
  return since <= rise
    ? (1 - Math.cos((Math.PI * since) / rise)) / 2
    : (1 + Math.cos((Math.PI * (since - rise)) / (24 - rise))) / 2
}

/**
 * The hours of a simulated day: its daily cycle between least and most, one dew point, rain in a row, wind
 * that rises with the sun. The same seed gives the same hours.
 */
export function simulatedHours(day: WeatherDay, seed: number): readonly WeatherHour[] {
  const draw = drawsFrom(seed + dayNumber(day.on))
  const rain = day.rain ?? 0
  const wet = rain > 0
  const blows = Math.max(0.5, (wet ? FRONT_WIND : 1) * WIND + normal(draw, WIND_SPREAD))
  const rainsFor = 2 + Math.floor(draw() * 7)
  const rainsFrom = Math.floor(draw() * (24 - rainsFor))
  const dew = day.humidity === undefined ? undefined : dewPoint(meanOfDay(day), day.humidity)
  return Array.from({ length: 24 }, (_, hour): WeatherHour => {
    const air = roundedToTenths(day.least + (day.most - day.least) * warmth(hour))
    const wind = roundedToTenths(
      blows * (NIGHT_WIND + (1 - NIGHT_WIND) * warmth(hour)) * (0.85 + 0.3 * draw()),
    )
    const falls = wet && hour >= rainsFrom && hour < rainsFrom + rainsFor
    return {
      on: day.on,
      hour,
      air,
      ...(dew !== undefined && { humidity: Math.round(falls ? 95 : humidityAt(air, dew)) }),
      wind,
      gust: roundedToTenths(wind * GUST),
      rain: falls ? Math.round((rain / rainsFor) * 1e5) / 1e5 : 0,
      forecast: day.forecast,
    }
  })
}
