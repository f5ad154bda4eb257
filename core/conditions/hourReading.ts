import { daysBetween } from '../calendar/daysBetween'
import { sumOf } from '../quantity/counting'
import { isLeafWet, type WeatherHour } from '../weather/hours/weatherHour'
import type { ConditionReading, Daylight } from './judge'

/** A chance of rain from here on counts as rain told (house default). */
const LIKELY_RAIN = 0.4

/** Whether rain is told for an hour: by its chance where one is told, else by its depth. */
export const isRainTold = ({ rain = 0, chance }: WeatherHour): boolean =>
  chance === undefined ? rain > 0 : chance >= LIKELY_RAIN

/** So far ahead rain is looked for, h. */
const AHEAD_HOURS = 24

/**
 * An hour of a station as the judge reads it. What an hour does not tell stays unknown.
 * @param hours in their order, those behind it among them @param light of its day
 */
export function hourReading(
  hour: WeatherHour,
  hours: readonly WeatherHour[],
  light: Omit<Daylight, 'now'> | undefined,
): ConditionReading {
  const ahead = hours.flatMap((one) => {
    const after = daysBetween(hour.on, one.on) * 24 + one.hour - hour.hour
    return after >= 0 && after < AHEAD_HOURS ? [{ after, one }] : []
  })
  const wet = isLeafWet(hour)
  const rain = ahead.find(({ one }) => isRainTold(one))
  return {
    wind: hour.wind,
    gust: hour.gust,
    air: hour.air,
    leaf: wet === undefined ? undefined : wet ? 'wet' : 'dry',
    raining: (hour.rain ?? 0) > 0 ? 'yes' : undefined,
    rainInHours: rain?.after,
    rainAhead: sumOf(ahead, ({ one }) => (isRainTold(one) ? (one.rain ?? 0) : 0)),
    light: light && { now: hour.hour, ...light },
  }
}
