import { metres, type Metres, type MetresPerSecond, type SquareMetres } from '../quantity/quantity'
import { sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'

export interface Walk {
  readonly distance: Metres
  /** Seconds on the move; turning and filling come on top. */
  readonly seconds: number
}

/**
 * How far and how long an application walks or drives: lanes one swath apart over the whole ground, once for
 * each pass.
 * @param width distance between lanes, m
 * Source: distance = area x passes / swath.
 */
export function walkOf(
  size: SquareMetres,
  width: Metres,
  passes: number,
  speed: MetresPerSecond,
  book: WorkingBook,
): Walk {
  const distance = metres((size * passes) / width)
  const seconds = distance / speed
  book.note('walk', () => [
    `${sixDigits(size)} m2 x ${passes} / ${sixDigits(width)} m between lanes = ${sixDigits(distance)} m`,
    `at ${sixDigits(speed)} m/s, turns and fills not counted`,
    `on the move ${sixDigits(seconds / 60)} min`,
  ])
  return { distance, seconds }
}
