import { daysBetween } from '../calendar/daysBetween'

/** How old a calibration is, and whether it still holds. */
export interface CalibrationAge {
  /** Whole days; undefined where no day was written down. */
  readonly days: number | undefined
  readonly state: 'fresh' | 'stale'
}

/**
 * @param on day of the calibration, YYYY-MM-DD, blank where none was written down: then nobody knows how
 *   far to trust it
 * @param limit house limit in days; that day itself still counts
 * Source: trade.md 6 (stale calibration, default 60 days).
 * @example calibrationAge('2026-03-07', '2026-05-06', 60) // { days: 60, state: 'fresh' }
 */
export function calibrationAge(on: string, today: string, limit: number): CalibrationAge {
  if (on === '') return { days: undefined, state: 'stale' }
  const days = daysBetween(on, today)
  return { days, state: days > limit ? 'stale' : 'fresh' }
}

/** The newest day among calibrations that is not after today; blank where there is none. */
export const newestDay = (days: readonly string[], today: string): string =>
  days
    .filter((on) => on !== '' && on <= today)
    .toSorted()
    .at(-1) ?? ''
