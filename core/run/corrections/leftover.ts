import { isOver } from '../../quantity/tolerance'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'

export interface LeftoverQuestion {
  /** What is left beyond what should be, kg or m3 of spray. */
  readonly over: number
  /** What was laid, and what all passes together were to lay, kg or m3. */
  readonly laid: number
  readonly amount: number
  /** m2 */
  readonly size: number
  readonly most: number | undefined
  /** What lies where most went down, over what was meant; absent: it lies evenly as far as anybody knows. */
  readonly heaviest?: number | undefined
}

export interface LeftoverResult {
  /** `spread`: once more over all of it, at right angles. `keep`: the label has no room for it. */
  readonly answer: 'none' | 'spread' | 'keep'
  /** On each m2, if it is spread over all of it. */
  readonly perArea: number
  /** What lies there then, over what was meant. */
  readonly then: number
}

/** Less than this share of the job is no leftover. */
const NEXT_TO_NOTHING = 0.01

/**
 * What to do with what is left after full cover: over the whole area at right angles at the low rate it
 * gives, or keep it; never dump it. The label's most is held where most went down, not on the mean.
 * Source: trade.md 8.
 */
export function leftoverResult(
  { over, laid, amount, size, most, heaviest = 0 }: LeftoverQuestion,
  book: WorkingBook = closedWorkingBook,
): LeftoverResult {
  const perArea = over / size
  const then = (laid + over) / amount
  const thenAtMost = Math.max(laid / amount, heaviest) + over / amount
  book.note('run.leftover', () => [
    `${sixDigits(over)} over ${sixDigits(size)} m2 = ${sixDigits(perArea)} on each m2`,
    `with ${sixDigits(laid)} that lies there: ${sixDigits(100 * then)} % of what was meant` +
      (thenAtMost > then ? `, ${sixDigits(100 * thenAtMost)} % where most went down` : '') +
      (most === undefined ? '' : `, the label allows ${sixDigits(100 * most)} %`),
  ])
  if (over <= NEXT_TO_NOTHING * amount) return { answer: 'none', perArea: 0, then: laid / amount }
  return { answer: most !== undefined && isOver(thenAtMost, most) ? 'keep' : 'spread', perArea, then }
}

/**
 * What to weigh out for ground that was not reached, at the planned rate.
 * @param uncovered m2; @param amount what all passes were to lay on all of it; @param size m2
 * Source: trade.md 8, ran short.
 */
export function shortAmount(
  uncovered: number,
  amount: number,
  size: number,
  book: WorkingBook = closedWorkingBook,
): number {
  const weigh = (amount / size) * uncovered
  book.note('run.short', () => [
    `${sixDigits(amount)} on ${sixDigits(size)} m2 = ${sixDigits(amount / size)} on each m2`,
    `x ${sixDigits(uncovered)} m2 that were not reached = ${sixDigits(weigh)}`,
  ])
  return weigh
}

/**
 * Light passes until the weighed amount is out: how many more are needed after one that used so much.
 * @param left kg beside the reserve; @param used kg in the last pass
 * @returns whole passes and the share of the last; 0 where it is out
 * Source: trade.md 6 and 8.
 */
export function passesToCome(left: number, used: number): { readonly passes: number; readonly last: number } {
  if (!(left > 0) || !(used > 0)) return { passes: 0, last: 0 }
  const exact = left / used
  const passes = Math.ceil(exact - 1e-9)
  return { passes, last: exact - (passes - 1) }
}
