import { err, ok, type Result } from '../result'
import { dayText } from './dayText'
import { parseDay, type DayProblem } from './parseDay'

/** A leap year: a day of the year may be 29 February. */
const LEAP = 2000

/**
 * Reads a day that comes every year: `1 Dec`, `March 15`.
 * @returns MM-DD; errors `notADay` (also for a day of one year), `ambiguous`, `noSuchDay`
 */
export function parseYearDay(typed: string): Result<string, DayProblem> {
  if (/\d{4}/.test(typed))
    return err({ kind: 'notADay', message: 'It comes every year: write the day without a year, as 1 Dec.' })
  const day = parseDay(typed, LEAP, '6 May')
  return day.ok ? ok(day.value.slice(5)) : day
}

/**
 * A day of the year as it is read aloud.
 * @example yearDayText('12-01') // '1 December'
 */
export const yearDayText = (day: string): string =>
  day === '' ? '' : dayText(`${LEAP}-${day}`).replace(` ${LEAP}`, '')
