import { isOver, ROUNDING } from '../../quantity/tolerance'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'

/** What a display says while something is weighed or poured, all in one unit but the ground, m2. */
export interface WeighingQuestion {
  /** What is wanted on the display, and how much of it goes onto the ground (the rest is reserve). */
  readonly wanted: number
  readonly forGround: number
  readonly shown: number
  readonly size: number
  /** Step of scale or cup; 0 where nobody named one. */
  readonly step: number
  /** The most that the label allows over what is meant; undefined: it names none. */
  readonly most: number | undefined
}

export interface WeighingResult {
  /**
   * `short`: more is to go in. `over label`: some has to come out. `inside`: over, and still inside the
   * label.
   */
  readonly answer: 'right' | 'short' | 'inside' | 'unlimited' | 'over label'
  /** Shown less wanted. */
  readonly over: number
  /** On the ground over what is meant there, less one, if it all goes down. */
  readonly deviation: number
  /** What has to come out for the label's most; 0 where nothing has to. */
  readonly takeOut: number
  /** So much more lawn at the planned rate would use it up, m2; 0 where nothing is over. */
  readonly moreLawn: number
}

/**
 * The overshoot of a display, answered at once: still inside the label, or take some out, or this much more
 * lawn. Half a step either way is what was wanted.
 * @returns undefined where nothing is wanted
 * Source: trade.md 8, while weighing.
 * @example 8.8 lb wanted for 2,604 ft2, 9.6 shown, label up to 5 % over: take out 0.36, or 237 ft2 more lawn
 */
export function weighingResult(
  { wanted, forGround, shown, size, step, most }: WeighingQuestion,
  book: WorkingBook = closedWorkingBook,
): WeighingResult | undefined {
  if (!(wanted > 0) || !(forGround > 0)) return undefined
  const over = shown - wanted
  const deviation = over / forGround
  const excess = most === undefined ? 0 : over - forGround * (most - 1)
  const near = Math.abs(over) <= step / 2 + wanted * ROUNDING
  const takeOut = !near && most !== undefined && isOver(1 + deviation, most) ? Math.max(0, excess) : 0
  const moreLawn = near ? 0 : Math.max(0, (over / forGround) * size)
  const above = most === undefined ? 'unlimited' : takeOut > 0 ? 'over label' : 'inside'
  const answer = near ? 'right' : over < 0 ? 'short' : above
  book.note('run.weighing', () => [
    `shown ${sixDigits(shown)}, wanted ${sixDigits(wanted)}: ${sixDigits(over)} over`,
    `${sixDigits(over)} / ${sixDigits(forGround)} for the ground = ${sixDigits(100 * deviation)} %`,
    ...(most === undefined ? [] : [`the label allows ${sixDigits(100 * (most - 1))} % over what is meant`]),
    `at the planned rate that is ${sixDigits(moreLawn)} m2 of lawn`,
  ])
  return { answer, over, deviation, takeOut, moreLawn }
}
