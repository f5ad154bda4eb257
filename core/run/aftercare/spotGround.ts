import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'

/**
 * The ground that spots came to: what went out at the calibrated carrier.
 * @param used m3 of spray; @param carrier m3 on each m2
 * @returns m2; undefined where nothing went out
 * Source: trade.md 4, known volume on known ground, asked the other way round.
 */
export function spotGround(
  used: number,
  carrier: number,
  book: WorkingBook = closedWorkingBook,
): number | undefined {
  if (!(used > 0) || !(carrier > 0)) return undefined
  book.note('run.spots', () => [
    `${sixDigits(used * 1000)} L went out at ${sixDigits(carrier * 1e5)} L on 100 m2`,
    `ground = ${sixDigits(used / carrier)} m2`,
  ])
  return used / carrier
}
