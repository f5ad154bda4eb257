import { ROUNDING } from '../../quantity/tolerance'
import { SEVERAL_DAYS } from '../../weather/severalDayMean'
import type { HalfYear } from './halfYear'
import type { SoilDays } from './seasonWindow'

/** A crossing counts when the mean stays beyond for so many days, or to the end of what is known. */
const STAYS_DAYS = 3

/** The soil as it is worked out, or so many of its gives (two standard deviations) warmer or colder. */
export type SoilShift = -1 | 0 | 1

/** The mean of a day and the four before it, °C; NaN where one of them is not known. @param day its number */
export function meanOn({ first, soil }: SoilDays, day: number): number {
  let sum = 0
  for (let back = 0; back < SEVERAL_DAYS; back++) sum += soil[day - back - first] ?? Number.NaN
  return sum / SEVERAL_DAYS
}

/**
 * The first day of a half-year from which the five-day mean stays beyond a threshold: at or above it while
 * soil warms, at or below it while it cools.
 * @param threshold °C
 */
export function crossing(
  days: SoilDays,
  half: HalfYear,
  threshold: number,
  shift: SoilShift = 0,
): number | undefined {
  return dayBeyond(days, half, threshold, shift, 'or to the end')
}

/** The day on which a mean has stayed beyond for several days. */
export function heldSince(
  days: SoilDays,
  half: HalfYear,
  threshold: number,
  shift: SoilShift = 0,
): number | undefined {
  const first = dayBeyond(days, half, threshold, shift, 'all of them')
  return first === undefined ? undefined : first + STAYS_DAYS - 1
}

function dayBeyond(
  { first, soil, give }: SoilDays,
  { half, from, to }: HalfYear,
  threshold: number,
  shift: SoilShift,
  known: 'all of them' | 'or to the end',
): number | undefined {
  const sign = half === 'warming' ? 1 : -1
  const last = first + soil.length - 1
  const until = Math.min(to, last)
  let run = 0
  // Each day is read once and handed down: ten thousand lawns are worked out in a second or two.
  let [a, b, c, d] = [Number.NaN, Number.NaN, Number.NaN, Number.NaN]
  for (let i = Math.max(0, Math.max(from, first) - first - SEVERAL_DAYS + 1); i <= until - first; i++) {
    const value = shift === 0 ? soil[i]! : soil[i]! + shift * (give?.[i] ?? 0)
    const mean = (value + d + c + b + a) / SEVERAL_DAYS
    a = b
    b = c
    c = d
    d = value
    if (first + i < from) continue
    run = sign * (mean - threshold) >= -ROUNDING ? run + 1 : 0
    if (run === STAYS_DAYS) return first + i - STAYS_DAYS + 1
  }
  return run > 0 && known === 'or to the end' && last <= to ? last - run + 1 : undefined
}
