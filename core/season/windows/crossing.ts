import { ROUNDING } from '../../quantity/tolerance'
import type { HalfYear } from './halfYear'

/** Means of several days with the number of their first day. */
export interface MeanSeries {
  readonly first: number
  /** °C; NaN where it is not known */
  readonly means: Float64Array
}

/** A crossing counts when the mean stays beyond for so many days, or to the end of what is known. */
export const STAYS_DAYS = 3

/**
 * The first day of a half-year from which the mean stays beyond a threshold: at or above it while soil warms,
 * at or below it while it cools.
 * @param threshold °C
 */
export function crossing(series: MeanSeries, half: HalfYear, threshold: number): number | undefined {
  return dayBeyond(series, half, threshold, 'or to the end')
}

/** The day on which a mean has stayed beyond for several days. */
export function heldSince(series: MeanSeries, half: HalfYear, threshold: number): number | undefined {
  const first = dayBeyond(series, half, threshold, 'all of them')
  return first === undefined ? undefined : first + STAYS_DAYS - 1
}

function dayBeyond(
  { first, means }: MeanSeries,
  { half, from, to }: HalfYear,
  threshold: number,
  known: 'all of them' | 'or to the end',
): number | undefined {
  const sign = half === 'warming' ? 1 : -1
  const last = first + means.length - 1
  let run = 0
  for (let day = Math.max(from, first); day <= Math.min(to, last); day++) {
    const mean = means[day - first] ?? Number.NaN
    run = sign * (mean - threshold) >= -ROUNDING ? run + 1 : 0
    if (run === STAYS_DAYS) return day - STAYS_DAYS + 1
  }
  return run > 0 && known === 'or to the end' && last <= to ? last - run + 1 : undefined
}
