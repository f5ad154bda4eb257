import { READING_ERROR_M, SCALE_ERROR } from '../ground/instruments'
import { lengthSi, type Quantity } from '../quantity/quantity'
import { errorOfMean, roundingOf, type Repeats } from '../quantity/repeats'
import type { LengthUnit } from '../quantity/units'

/** What a calibration may be off beside the spread of its runs; shares, one standard deviation each. */
export interface CourseErrors {
  /** The same for all its runs: tape, the readings of course and width, the speed. */
  readonly shared: number
  /** Of reading one run's amount. */
  readonly rounding: number
}

interface CourseReadings {
  /** Course and width, where they were taped. */
  readonly taped: readonly Quantity<LengthUnit>[]
  /** Smallest step of scale or jug, and the mean amount of a run, both SI; undefined: nobody said. */
  readonly step?: number | undefined
  readonly amount: number
  /** Readings that make one run's amount: weighed in and back are two. */
  readonly weighings: 1 | 2
  /** Where the rate hangs on a speed that was timed. */
  readonly speeds?: Repeats | undefined
}

/**
 * Errors of a calibration's course. One tape is wrong the same way on course and width, so its scale adds up;
 * readings don't.
 * Source: trade.md 2 (errors of a tape) and 3 (scale's step, course and width).
 */
export function courseErrors({ taped, step, amount, weighings, speeds }: CourseReadings): CourseErrors {
  const readings = taped.map((one) => READING_ERROR_M[one.unit] / lengthSi(one))
  const speed = speeds ? (errorOfMean(speeds) ?? 0) / speeds.mean : 0
  return {
    shared: Math.hypot(taped.length * SCALE_ERROR.tape, speed, ...readings),
    rounding: step ? (roundingOf(step) * Math.sqrt(weighings)) / amount : 0,
  }
}

/**
 * One standard deviation of what a calibration comes to, as a share; two of it hold the truth 95 times of a
 * hundred. Runs that agree better than the scale shows keep its rounding: it is the same in all of them.
 * @returns undefined for a single run, which shows no spread
 */
export function errorOfCalibration(
  measured: Repeats,
  { shared, rounding }: CourseErrors,
): number | undefined {
  const runs = errorOfMean(measured)
  if (runs === undefined) return undefined
  const kept = (measured.sd ?? 0) < rounding * measured.mean ? rounding : rounding / Math.sqrt(measured.count)
  return Math.hypot(runs / measured.mean, kept, shared)
}
