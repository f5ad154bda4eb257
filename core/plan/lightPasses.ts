import { stepsToCover } from '../quantity/tolerance'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'

/** More passes than this are a setting too low to work with. */
const MOST_PASSES = 20

/**
 * Repeated light passes until the weighed amount is out: whole ones, and the share of the last that is still
 * needed.
 */
export interface LightPasses {
  readonly passes: number
  /** Share of the last pass until the hopper is empty; 1: a whole one. */
  readonly last: number
}

/**
 * How many light passes a setting takes.
 * @param whole kg on each m2 that all passes together put down; @param perPass kg on each m2 of one
 * Source: trade.md 6, repeated low passes until the weighed amount is out.
 * @example 3.4 lb by passes of 0.8 lb: 5 passes, the last a quarter of one
 */
export function lightPasses(
  whole: number,
  perPass: number,
  book: WorkingBook = closedWorkingBook,
): LightPasses {
  const exact = whole / perPass
  const passes = Math.min(MOST_PASSES, Math.max(1, stepsToCover(exact)))
  book.note('passes.light', () => [
    `all passes together put down ${sixDigits(1000 * whole)} g/m2, one at this setting ` +
      `${sixDigits(1000 * perPass)} g/m2`,
    `${sixDigits(whole / perPass)} passes, counted up`,
    `passes = ${passes}`,
  ])
  return { passes, last: Math.min(1, Math.max(0, exact - (passes - 1))) }
}
