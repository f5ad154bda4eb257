import { fromMph } from '../../quantity/speed'
import { isLeafWet, type WeatherHour } from '../../weather/hours/weatherHour'
import { HOUSE_WIND, type GateSubject } from './gateFindings'
import type { GateLimits } from './gateLimits'

/**
 * The hour of the day from which the forecast has a reading inside its limits again.
 * @param hours of the day, forecast; @param now the hour it is
 * @returns undefined where no later hour of the day has it, or the forecast does not tell
 * Source: trade.md 7.
 */
export function passesAfter(
  subject: GateSubject,
  limits: GateLimits,
  hours: readonly WeatherHour[],
  now: number,
): number | undefined {
  const passes = PASSES[subject]
  return passes && hours.find((one) => one.hour > now && passes(one, limits, hours) === true)?.hour
}

/**
 * The first hour from which all that fails passes; undefined where none of the day does.
 * @param failing what stops now
 */
export function goesAfter(
  failing: readonly GateSubject[],
  limits: GateLimits,
  hours: readonly WeatherHour[],
  now: number,
): number | undefined {
  const tests = failing.map((subject) => PASSES[subject])
  if (failing.length === 0 || tests.some((test) => test === undefined)) return undefined
  return hours.find((one) => one.hour > now && tests.every((test) => test?.(one, limits, hours) === true))
    ?.hour
}

type Passes = (hour: WeatherHour, limits: GateLimits, day: readonly WeatherHour[]) => boolean | undefined

const PASSES: Readonly<Partial<Record<GateSubject, Passes>>> = {
  wind: ({ wind }, { windMost, method }) =>
    wind === undefined
      ? undefined
      : wind <= (windMost ?? fromMph(HOUSE_WIND.stop)) &&
        (method === 'spread' || (wind <= fromMph(HOUSE_WIND.stop) && wind >= fromMph(HOUSE_WIND.still))),
  gust: ({ gust }) => (gust === undefined ? undefined : gust <= fromMph(HOUSE_WIND.gust)),
  air: ({ air }, { airMost }) => airMost === undefined || air <= airMost,
  leaf: (hour) => isLeafWet(hour) === false,
  rainIn: ({ hour }, { rainfastHours = 0 }, day) =>
    day.every((one) => one.hour < hour || one.hour >= hour + rainfastHours || (one.rain ?? 0) === 0),
}
