import { meanOf } from '../quantity/counting'
import { isOver } from '../quantity/tolerance'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { NOZZLE_LIMIT, WORN_LIMIT } from './nozzleFlow'

/** A set of nozzles against its mean and what new ones give; every nozzle counts in the mean. */
export interface NozzleReport {
  readonly mean: number
  /** Share off the mean, by nozzle. */
  readonly off: readonly number[]
  /**
   * Places, counted from 0: further off the mean than the limit, and over what a new one gives by more than
   * its own.
   */
  readonly uneven: readonly number[]
  readonly worn: readonly number[]
}

/**
 * @param flows of each nozzle, m3/s; at least one above nought
 * @param rated of a new one at this pressure, m3/s
 * Source: trade.md 4, each nozzle within 5 % of the mean; over 10 % above rated is worn.
 */
export function nozzleReport(
  flows: readonly number[],
  rated: number | undefined,
  book: WorkingBook = closedWorkingBook,
): NozzleReport {
  const mean = meanOf(flows)
  const off = flows.map((flow) => flow / mean - 1)
  book.note('mean', () => [
    ...flows.map(
      (flow, i) =>
        `nozzle ${i + 1}: ${sixDigits(60_000 * flow)} L/min, ${sixDigits(100 * (off[i] ?? 0))} % off ` +
        'the mean',
    ),
    ...(rated === undefined ? [] : [`a new one gives ${sixDigits(60_000 * rated)} L/min`]),
    `mean of ${flows.length} = ${sixDigits(60_000 * mean)} L/min`,
  ])
  const places = (is: (place: number) => boolean) => flows.flatMap((_, place) => (is(place) ? [place] : []))
  return {
    mean,
    off,
    uneven: places((place) => isOver(Math.abs(off[place] ?? 0), NOZZLE_LIMIT)),
    worn: rated === undefined ? [] : places((place) => isOver((flows[place] ?? 0) / rated - 1, WORN_LIMIT)),
  }
}
