import { counted, sumOf } from '../../quantity/counting'
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
 * ground that still waits. `enough`: all that is meant lies there, and another pass has nothing to add.
 * `stop`: ground behind has more than its label allows. `rose`: more is left than before, which no spreader
 * does.
 */
type CheckpointAnswer = 'carry on' | 'weigh first' | 'correct' | 'run out' | 'enough' | 'stop' | 'rose'

/** Ground behind that no pass to come goes over, and what it lacks: it can be given that in a light pass. */
export interface Lacking {
  /** Where it lies in the last pass, shares of it. */
  readonly from: number
  readonly to: number
  /** m2 */
  readonly size: number
  /** What it lacks of all that is meant there, 0.17 for 17 %. */
  readonly share: number
  /** kg or m3, all of it and on each m2. */
  readonly amount: number
  readonly perArea: number
  /** Whether the label's most leaves room for it wherever the passes crossed. */
  readonly room: 'yes' | 'no'
}

export interface CheckpointResult {
  readonly answer: CheckpointAnswer
  /** What should be left by plan. */
  readonly should: number
  /** Applied so far over what was meant so far, less one, and two standard deviations of it. */
  readonly deviation: number
  readonly give: number
  /** What one pass put on each m2 since the rest before. */
  readonly laidPerPass: number
  /** What the rest of this pass, or each pass still to come, has to put on each m2; 0 where none is. */
  readonly needed: number
  /**
   * The flow the rest needs over the flow so far, and two standard deviations; 1 where nothing is to come.
   */
  readonly factor: number
  readonly factorGive: number
  /** The passes behind at which to weigh again after a large change; undefined: at the next checkpoint. */
  readonly weighAgainAt: number | undefined
  /** The most that lies on any ground behind, over what all passes together are to put there. */
  readonly laid: number
  /** What the whole ground will have in the end over what was planned, if nothing is changed. */
  readonly endsAt: number
  /** What of the whole still goes down at the flow so far. */
  readonly toCome: number
  /** What the rest of the pass, or all passes to come, needs more than is left, kg or m3. */
  readonly short: number
  readonly lacking: readonly Lacking[]
}

/** A correction of more than this is not made on a mark or by eye (house default). */
const LARGE = 0.15
/** A change of more than this is weighed again after a tenth of the pass (house default). */
const VERY_LARGE = 0.3
const TENTH = 0.1
/** Ground that lacks more than this is offered a light pass (house default). */
const LACKING = 0.1

/**
 * What a rest says: how far off the work is, and what the rest of the way needs. The flow is judged since the
 * rest before, because the setting may have changed there. A correction sets what is ahead and never repays
 * what is behind on other ground: the rest of a pass is walked at the rate planned for it; between two passes
 * over the same ground the next puts down what the ones before left open, inside the label wherever they
 * cross.
 * @returns undefined while no ground is behind since the rest before
 * Source: trade.md 8: between passes min(planned total - mean so far, label's most - largest so far); inside
 *   a pass new flow = observed x planned / observed rate.
 */
export function checkpointResult(
  question: CheckpointQuestion,
  book: WorkingBook = closedWorkingBook,
): CheckpointResult | undefined {
  const { amount, size, passes, charge, chargeDoubt, rests, most } = question
  const now = rests.at(-1)
  const before = rests.at(-2) ?? { done: 0, left: charge, doubt: chargeDoubt }
  if (!now || !(now.done > before.done) || !(size > 0) || !(amount > 0)) return undefined
  const used = charge - now.left
  const meant = (amount * now.done) / passes
  const since = before.left - now.left
  const laidPerPass = since / (now.done - before.done) / size
  const toCome = Math.max(0, passes - now.done)
  const wanted = neededAhead(question, now)
  const needed = toCome > ROUNDING ? wanted.perPass : 0
  const factor = toCome > ROUNDING && since > 0 ? needed / laidPerPass : 1
  const change = Math.abs(factor - 1)
  const inPass = Math.floor(now.done + ROUNDING)
  const known: Omit<CheckpointResult, 'answer'> = {
    should: charge - meant,
    deviation: used / meant - 1,
    give: (2 * Math.hypot(now.doubt, chargeDoubt)) / meant,
    laidPerPass,
    needed,
    factor,
    factorGive:
      since > 0
        ? 2 * factor * Math.hypot(Math.hypot(now.doubt, before.doubt) / since, wanted.relativeDoubt)
        : 0,
    weighAgainAt: change > VERY_LARGE && toCome > TENTH ? Math.min(inPass + 1, now.done + TENTH) : undefined,
    laid: (largestBehind(question) * size) / amount,
    endsAt: (used + laidPerPass * toCome * size) / amount,
    toCome: (laidPerPass * toCome * size) / amount,
    short: Math.max(0, needed * wanted.ahead * size - Math.max(0, now.left)),
    lacking: lackingBehind(question),
  }
  book.note('run.checkpoint', () => [
    `put in ${sixDigits(charge)}, left ${sixDigits(now.left)}: used ${sixDigits(used)} (kg, or m3 of spray)`,
    `meant by now: ${sixDigits(amount)} x ${sixDigits(now.done)} of ${counted(passes, 'pass', 'passes')} = ` +
      `${sixDigits(meant)}; off by ${sixDigits(100 * known.deviation)} %`,
    `since the reading before: ${sixDigits(since)} in ${sixDigits(now.done - before.done)} of a pass on ` +
      `${sixDigits(size)} m2 = ${sixDigits(laidPerPass)} on each m2`,
    ...(toCome > ROUNDING
      ? [
          ...wanted.lines,
          `new flow = old flow x ${sixDigits(needed)} / ${sixDigits(laidPerPass)} = old flow x ` +
            `${sixDigits(factor)}, give or take ${sixDigits(known.factorGive)}`,
        ]
      : []),
    `the most on any ground behind is ${sixDigits(100 * known.laid)} % of what is meant` +
      (most === undefined ? '' : `, the label allows ${sixDigits(100 * most)} %`),
    ...known.lacking.map(
      ({ from, to, size: part, share, amount: lacks }) =>
        `${sixDigits(from)} to ${sixDigits(to)} of the last pass, ${sixDigits(part)} m2, lacks ` +
        `${sixDigits(100 * share)} %: ${sixDigits(lacks)}`,
    ),
  ])
  return { ...known, answer: answerOf(question, known, now) }
}

interface Wanted {
  /** On each m2 in one pass. */
  readonly perPass: number
  /** Passes that it is for: the rest of the one in hand, or all that are to come. */
  readonly ahead: number
  /** One standard deviation of it over itself. */
  readonly relativeDoubt: number
  readonly lines: readonly string[]
}

/** What the rest of the pass in hand, or each pass to come, is to put on each m2. */
function neededAhead(question: CheckpointQuestion, now: RestFound): Wanted {
  const { amount, size, passes, most, rests } = question
  const begun = Math.min(passes - 1, Math.floor(now.done + ROUNDING))
  const each = amount / size / passes
  const laid = laidInPasses(question, begun)
  const mean = sumOf(laid, (pass) => pass.mean)
  const open = amount / size - mean
  const room = most === undefined ? open : (amount / size) * most - sumOf(laid, (pass) => pass.largest)
  const passesOpen = passes - begun
  const due = Math.max(0, Math.min(open, room) / passesOpen)
  const dueLine =
    `for each of ${counted(passesOpen, 'pass', 'passes')}: ${sixDigits(amount / size)} meant - ` +
    `${sixDigits(mean)} that lies there on the mean` +
    (room < open ? `, and the label has room for ${sixDigits(room)} where the most lies` : '') +
    ` = ${sixDigits(due)} on each m2`
  if (now.done - begun <= ROUNDING)
    return {
      perPass: due,
      ahead: passesOpen,
      relativeDoubt: due > 0 ? now.doubt / (due * passesOpen * size) : 0,
      lines: [dueLine],
    }
  const weighedBetween = begun > 0 && rests.some(({ done }) => Math.abs(done - begun) <= ROUNDING)
  // What the passes before left open was never found out: no more than planned goes down.
  const perPass = begun === 0 ? each : weighedBetween ? due : Math.min(each, due)
  return {
    perPass,
    ahead: begun + 1 - now.done,
    relativeDoubt: 0,
    lines: [
      ...(begun > 0 ? [dueLine] : []),
      `the rest of this pass at what is planned for it, ${sixDigits(perPass)} on each m2: ` +
        'what is behind is not repaid on other ground',
    ],
  }
}

interface Stretch {
  readonly from: number
  readonly to: number
  /** On each m2 in one pass. */
  readonly perPass: number
}

/** What went down between one rest and the next. */
function stretchesOf({ charge, rests, size }: CheckpointQuestion): readonly Stretch[] {
  return rests.map(({ done, left }, i) => {
    const { done: from, left: had } = rests[i - 1] ?? { done: 0, left: charge }
    return { from, to: done, perPass: (had - left) / (done - from) / size }
  })
}

/** The stretches as they lie in one pass, in shares of it. */
const stretchesIn = (question: CheckpointQuestion, pass: number): readonly Stretch[] =>
  stretchesOf(question).flatMap(({ from, to, perPass }) => {
    const [begins, ends] = [Math.max(from - pass, 0), Math.min(to - pass, 1)]
    return ends - begins > ROUNDING ? [{ from: begins, to: ends, perPass }] : []
  })

/** The first passes, each with its mean and with the largest it put down anywhere. */
const laidInPasses = (question: CheckpointQuestion, count: number) =>
  Array.from({ length: count }, (_, pass) => {
    const stretches = stretchesIn(question, pass)
    return {
      mean: sumOf(stretches, ({ from, to, perPass }) => (to - from) * perPass),
      largest: Math.max(0, ...stretches.map(({ perPass }) => perPass)),
    }
  })

/** The most that lies anywhere behind: passes cross, so the largest of each may lie on one spot. */
const largestBehind = (question: CheckpointQuestion): number =>
  sumOf(
    laidInPasses(question, Math.ceil((question.rests.at(-1)?.done ?? 0) - ROUNDING)),
    (pass) => pass.largest,
  )

/** Ground behind in the last pass that got less than is meant there. */
function lackingBehind(question: CheckpointQuestion): readonly Lacking[] {
  const { amount, size, passes, most } = question
  const before = laidInPasses(question, passes - 1)
  const [mean, largest] = [sumOf(before, (pass) => pass.mean), sumOf(before, (pass) => pass.largest)]
  const meant = amount / size
  return stretchesIn(question, passes - 1).flatMap(({ from, to, perPass }) => {
    const perArea = meant - mean - perPass
    if (!isOver(perArea / meant, LACKING)) return []
    const part = (to - from) * size
    const fits = most === undefined || !isOver((largest + perPass + perArea) / meant, most)
    return [
      {
        from,
        to,
        size: part,
        share: perArea / meant,
        amount: perArea * part,
        perArea,
        room: fits ? ('yes' as const) : ('no' as const),
      },
    ]
  })
}

function answerOf(
  question: CheckpointQuestion,
  { laid, factor, factorGive, needed, laidPerPass }: Omit<CheckpointResult, 'answer'>,
  now: RestFound,
): CheckpointAnswer {
  if (laidPerPass < 0) return 'rose'
  const { amount, size, most, good, charge, passes } = question
  const begun = Math.min(passes - 1, Math.floor(now.done + ROUNDING))
  const behind = sumOf(laidInPasses(question, begun), (pass) => pass.largest)
  const unchanged = ((behind + laidPerPass * (passes - begun)) * size) / amount
  if (most !== undefined && isOver(laid, most)) return 'stop'
  if (passes - now.done <= ROUNDING) return 'carry on'
  if (needed <= 0) return 'enough'
  if (now.left <= 0) return 'run out'
  const change = Math.abs(factor - 1)
  if (change > LARGE && now.doubt > COARSE * charge) return 'weigh first'
  if (most !== undefined && isOver(unchanged, most)) return 'correct'
  return !isOver(change, good) || change <= factorGive ? 'carry on' : 'correct'
}
/** A rest less sure than this share of what was put in was read off a mark or judged by eye. */
const COARSE = 0.02
