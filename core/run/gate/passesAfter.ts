import type { ConditionLimits } from '../../conditions/conditionLimits'
import { hourReading } from '../../conditions/hourReading'
import { judgeConditions, type ConditionReading, type Daylight } from '../../conditions/judge'
import type { WeatherHour } from '../../weather/hours/weatherHour'
import type { GateSubject } from './gateFindings'

/** The hours a forecast tells, and what is asked of them. */
export interface HoursAhead {
  readonly limits: ConditionLimits
  /** Of the day, in their order, and of the next for what has to stay dry. */
  readonly hours: readonly WeatherHour[]
  /** Hours at which the sun rises and sets; undefined where the place is not known. */
  readonly light: Omit<Daylight, 'now'> | undefined
  /** The day, YYYY-MM-DD, and the hour it is. */
  readonly on: string
  readonly now: number
}

/**
 * The hour of the day from which the judge of conditions lets a reading pass again by the forecast.
 * @returns undefined where no later hour of the day does, or the forecast does not tell
 * Source: decide.md 3.
 */
export const passesAfter = (subject: GateSubject, ahead: HoursAhead): number | undefined =>
  goesAfter([subject], ahead)

/**
 * The first hour from which all that fails passes; undefined where none of the day does.
 * @param failing what stops or warns now
 */
export function goesAfter(
  failing: readonly GateSubject[],
  { limits, hours, light, on, now }: HoursAhead,
): number | undefined {
  if (failing.length === 0) return undefined
  return hours.find((one) => {
    if (one.on !== on || one.hour <= now) return false
    const reading = hourReading(one, hours, light)
    if (!failing.every((subject) => isTold(subject, reading))) return false
    return judgeConditions(reading, limits).every(
      ({ subject, level }) => level === 'note' || !failing.includes(subject),
    )
  })?.hour
}

/** Whether an hour of a forecast tells of it at all. */
function isTold(subject: GateSubject, reading: ConditionReading): boolean {
  switch (subject) {
    case 'wind':
    case 'gust':
    case 'air':
    case 'leaf':
      return reading[subject] !== undefined
    case 'rain':
    case 'rainIn':
      return true
    default:
      return false
  }
}
