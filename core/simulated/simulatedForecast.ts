import { roundedToTenths } from '../quantity/tenths'
import { daysBetween } from '../calendar/daysBetween'
import { drawsFrom, normal } from '../quantity/draws'
import type { Climate } from './simulatedClimate'
import type { WeatherDay } from '../weather/weatherDay'
import { simulatedHours } from './simulatedHours'
import type { WeatherHour } from '../weather/hours/weatherHour'

/** How far a forecast is off on its first day, and how much more with each, K. */
const OFF_FIRST = 0.6
const OFF_GROWS = 0.45
/** After so many days a forecast of rain knows little more than the climate. */
const RAIN_KNOWN_DAYS = 5

/** A day as it is forecast: with the chance of rain, 0 to 1. */
export interface ForecastDay extends WeatherDay {
  readonly chance: number
}

/**
 * What a simulated service says of the days to come: the truth of the simulated climate with an error that
 * grows. The same day asked on the same morning is told the same.
 * @param truth the days as they will be @param today YYYY-MM-DD, the first of them that is told
 */
export function simulatedForecast(
  truth: readonly WeatherDay[],
  today: string,
  climate: Pick<Climate, 'wetDays' | 'rainDepth'>,
  seed: number,
): readonly ForecastDay[] {
  return truth
    .filter(({ on }) => on >= today)
    .map((day): ForecastDay => {
      const ahead = daysBetween(today, day.on)
      const draw = drawsFrom(seed * 1000 + daysBetween('2020-01-01', today) * 31 + ahead)
      const off = normal(draw, OFF_FIRST + OFF_GROWS * ahead)
      const known = Math.exp(-ahead / RAIN_KNOWN_DAYS)
      const chance = known * ((day.rain ?? 0) > 0 ? 0.95 : 0.05) + (1 - known) * climate.wetDays
      const depth = known * (day.rain ?? 0) + (1 - known) * climate.rainDepth
      return {
        ...day,
        least: roundedToTenths(day.least + off),
        most: roundedToTenths(day.most + off),
        rain: chance >= 0.5 ? Math.round(depth * 1e4) / 1e4 : 0,
        chance: Math.round(chance * 100) / 100,
        forecast: true,
      }
    })
}

/** The hours of a forecast; each with the chance of rain of its day, more where it is told to fall. */
export const forecastHours = (days: readonly ForecastDay[], seed: number): readonly WeatherHour[] =>
  days.flatMap((day) =>
    simulatedHours(day, seed).map((hour) => ({
      ...hour,
      chance: (hour.rain ?? 0) > 0 ? day.chance : Math.round(day.chance * 30) / 100,
    })),
  )
