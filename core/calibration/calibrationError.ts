import { READING_ERROR_M, SCALE_ERROR } from '../ground/instruments'
import { lengthSi, type Quantity } from '../quantity/quantity'
import { errorOfMean, roundingOf, type Repeats } from '../quantity/repeats'
import type { LengthUnit } from '../quantity/units'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'

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
 * @returns shares of the rate, one standard deviation each; no errors of its own: what nobody said counts as
 * 0
 * Source: trade.md 2 (errors of a tape) and 3 (scale's step, course and width).
 * @example a course of 100 ft by 10 ft: shared is root of (2 x 0.5 %)2 + 0.1 %2 + 1 %2 = 1.42 %
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
 * @param measured its runs, at least one, in whatever unit
 * @returns undefined for a single run, which shows no spread
 * Source: trade.md 3, Student's t with the scale's step, the course and the width added.
 */
export function errorOfCalibration(
  measured: Repeats,
  { shared, rounding }: CourseErrors,
  book: WorkingBook = closedWorkingBook,
): number | undefined {
  const runs = errorOfMean(measured)
  if (runs === undefined) return undefined
  const kept = (measured.sd ?? 0) < rounding * measured.mean ? rounding : rounding / Math.sqrt(measured.count)
  const error = Math.hypot(runs / measured.mean, kept, shared)
  book.note('calibration.give', () => [
    `mean of ${measured.count} runs, by Student’s t: ${sixDigits((100 * runs) / measured.mean)} %`,
    rounding > 0
      ? `step of the scale: ${sixDigits(100 * kept)} %`
      : 'step of the scale: not said, so it is not in it',
    `the same for all runs (tape, readings of course and width, timed speed): ${sixDigits(100 * shared)} %`,
    `one standard deviation, root of the sum of squares, ${sixDigits(100 * error)} %`,
    `give or take, twice that = ${sixDigits(200 * error)} %`,
  ])
  return error
}
