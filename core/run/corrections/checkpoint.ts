import { counted } from '../../quantity/counting'
import { isOver, ROUNDING } from '../../quantity/tolerance'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'

/** A rest that was found on the way; kg, or m3 of finished spray. */
export interface RestFound {
  /** Passes over the whole ground that are behind: 1.5 is half way through the second. */
  readonly done: number
  readonly left: number
  /** One standard deviation of it. */
  readonly doubt: number
}

export interface CheckpointQuestion {
  /** What all passes together are to put down, and the ground, m2. */
  readonly amount: number
  readonly size: number
  readonly passes: number
  /** What was put in before the first step, and one standard deviation of it. */
  readonly charge: number
  readonly chargeDoubt: number
  /** Every rest so far, in the order they were found; the last is the one in hand. */
  readonly rests: readonly RestFound[]
  /** The most that the label allows over what is meant, 1.25 for a quarter more; undefined: it names none. */
  readonly most: number | undefined
  /** House tolerance: off by no more than this nothing is changed. */
  readonly good: number
}

/**
 * `carry on`: inside the tolerance, or less sure than what would be changed. `weigh first`: a large
 * correction on a coarse reading. `correct`: the rest needs another flow. `run out`: nothing is left for
 * ground that still waits. `stop`: the ground behind has more than its label allows.
 */
type CheckpointAnswer = 'carry on' | 'weigh first' | 'correct' | 'run out' | 'stop'

export interface CheckpointResult {
  readonly answer: CheckpointAnswer
  /** What should be left by plan. */
  readonly should: number
  /** Laid so far over what was meant so far, less one, and two standard deviations of it. */
  readonly deviation: number
  readonly give: number
  /** What one pass laid on each m2 since the rest before. */
  readonly laidPerPass: number
  /** What each pass still to come has to lay on each m2; 0 where none is. */
  readonly needed: number
  /**
   * The flow the rest needs over the flow so far, and two standard deviations; 1 where nothing is to come.
   */
  readonly factor: number
  readonly factorGive: number
  /** What lies on each m2 of the ground behind, over what all passes together are to put there. */
  readonly laid: number
  /** What the whole ground will have in the end over what was planned, if nothing is changed. */
  readonly endsAt: number
  /** What of the whole still goes down at the flow so far. */
  readonly toCome: number
}

/** A correction of more than this is not made on a mark or by eye (house default). */
const LARGE = 0.15

/**
 * What a rest says: how far off the work is, and what the rest of the way needs. The flow is judged since the
 * rest before, because the setting may have changed there; what is laid counts from the beginning.
 * @returns undefined while no ground is behind since the rest before
 * Source: trade.md 8: what the second pass must put down = total - used; new flow = old flow observed x
 *   (needed / used).
 */
export function checkpointResult(
  question: CheckpointQuestion,
  book: WorkingBook = closedWorkingBook,
): CheckpointResult | undefined {
  const { amount, size, passes, charge, chargeDoubt, rests } = question
  const now = rests.at(-1)
  const before = rests.at(-2) ?? { done: 0, left: charge, doubt: chargeDoubt }
  if (!now || !(now.done > before.done) || !(size > 0) || !(amount > 0)) return undefined
  const used = charge - now.left
  const meant = (amount * now.done) / passes
  const since = before.left - now.left
  const behind = now.done - before.done
  const laidPerPass = since / behind / size
  const toCome = Math.max(0, passes - now.done)
  const rest = amount - used
  const needed = toCome > ROUNDING ? Math.max(0, rest / toCome / size) : 0
  const factor = toCome > ROUNDING && since > 0 ? needed / laidPerPass : 1
  const known: Omit<CheckpointResult, 'answer'> = {
    should: charge - meant,
    deviation: used / meant - 1,
    give: (2 * Math.hypot(now.doubt, chargeDoubt)) / meant,
    laidPerPass,
    needed,
    factor,
    factorGive:
      since > 0
        ? 2 * factor * Math.hypot(Math.hypot(now.doubt, before.doubt) / since, doubtOf(now, rest))
        : 0,
    laid: (laidBehind(question, now, used) * size) / amount,
    endsAt: (used + laidPerPass * toCome * size) / amount,
    toCome: (laidPerPass * toCome * size) / amount,
  }
  book.note('run.checkpoint', () => [
    `put in ${sixDigits(charge)}, left ${sixDigits(now.left)}: used ${sixDigits(used)} (kg, or m3 of spray)`,
    `meant by now: ${sixDigits(amount)} x ${sixDigits(now.done)} of ${counted(passes, 'pass', 'passes')} = ` +
      `${sixDigits(meant)}; off by ${sixDigits(100 * known.deviation)} %`,
    `since the reading before: ${sixDigits(since)} in ${sixDigits(behind)} of a pass on ` +
      `${sixDigits(size)} m2 = ${sixDigits(laidPerPass)} on each m2`,
    ...(toCome > ROUNDING
      ? [
          `still to lay: ${sixDigits(amount)} - ${sixDigits(used)} = ${sixDigits(rest)} in ` +
            `${sixDigits(toCome)} of a pass = ${sixDigits(needed)} on each m2`,
          `new flow = old flow x ${sixDigits(needed)} / ${sixDigits(laidPerPass)} = old flow x ` +
            `${sixDigits(factor)}, give or take ${sixDigits(known.factorGive)}`,
        ]
      : []),
    `on the ground behind lies ${sixDigits(100 * known.laid)} % of what is meant` +
      (question.most === undefined ? '' : `, the label allows ${sixDigits(100 * question.most)} %`),
  ])
  return { ...known, answer: answerOf(question, known, now, { rest, toCome }) }
}

const doubtOf = ({ doubt }: RestFound, rest: number) => (rest > 0 ? doubt / rest : 0)

function answerOf(
  { most, good, charge }: CheckpointQuestion,
  { laid, factor, factorGive }: Omit<CheckpointResult, 'answer'>,
  now: RestFound,
  { rest, toCome }: { readonly rest: number; readonly toCome: number },
): CheckpointAnswer {
  if (most !== undefined && isOver(laid, most)) return 'stop'
  if (toCome <= ROUNDING) return 'carry on'
  if (rest <= 0 || now.left <= 0) return 'run out'
  const change = Math.abs(factor - 1)
  if (change > LARGE && now.doubt > COARSE * charge) return 'weigh first'
  return !isOver(change, good) || change <= factorGive ? 'carry on' : 'correct'
}
/** A rest less sure than this share of what was put in was read off a mark or judged by eye. */
const COARSE = 0.02

/** What lies on each m2 where this pass has been: the passes before it, and its own share. */
function laidBehind({ charge, rests, size }: CheckpointQuestion, { done }: RestFound, used: number): number {
  const begun = Math.ceil(done - ROUNDING) - 1
  if (begun <= 0) return used / done / size
  const found = rests.find((rest) => Math.abs(rest.done - begun) <= ROUNDING)
  const before = found ? charge - found.left : (used * begun) / done
  return (before + (used - before) / (done - begun)) / size
}
