import { combineOutlines } from '../../ground/combineOutlines'
import type { Polygon } from '../../ground/clipping'
import { sumOf } from '../../quantity/counting'
import { formatMinutes } from '../../quantity/format'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import { lanePlan, type LaneError, type LanePlan, type LaneQuestion } from '../plan/lanePlan'
import { groundSize, keptOff, type KeptOut } from './buffers'
import { laneAmounts, laneStops, type LaneStop } from './laneStops'
import { USUAL_HEADERS, type LanesQuestion, type WalkedLawn } from './lanesQuestion'

/** The lanes of one lawn; `problem` says why it has none. */
export interface LawnLanes {
  readonly id: string
  readonly name: string
  readonly plan: LanePlan | undefined
  readonly problem: LaneError['kind'] | 'noShape' | undefined
  /** What is walked: the lawn less its exclusions and less what is kept from water and beds. */
  readonly ground: readonly Polygon[]
  readonly keptOut: KeptOut | undefined
  /** What each lane takes, lane 1 first; kg or m3. */
  readonly amounts: readonly number[]
  /** On the lanes, in turns and between stretches, s. */
  readonly seconds: number
  /** Why they lie so, and what to mind; each a sentence. */
  readonly reasons: readonly string[]
  /** Lanes times their width over the ground and its passes: what overlap adds. */
  readonly overlap: number
  /** What was overruled costs so much more than the tool's own choice; undefined where nothing was. */
  readonly cost: LaneCost | undefined
}

export interface LaneCost {
  readonly metres: number
  readonly seconds: number
  readonly turns: number
}

/** All lawns of an application with their lanes, and where one stops. */
export interface JobLanes {
  readonly lawns: readonly LawnLanes[]
  readonly stops: readonly LaneStop[]
  /** Of all lawns and passes: along lanes and between them, m; turns; s. */
  readonly metres: number
  readonly turns: number
  readonly seconds: number
  /** How many lanes, all passes. */
  readonly count: number
}

/**
 * Lanes, stops and totals of an application.
 * @param book gets the page `lanes`
 * Source: trade.md 6 and 8.
 */
export function workOutLanes(question: LanesQuestion, book: WorkingBook = closedWorkingBook): JobLanes {
  const lines: string[] = []
  const lawns = question.lawns.map((lawn): LawnLanes => {
    const own = book.another()
    const worked = lawnLanes(question, lawn, own)
    const pages = own.pages().flatMap((page) => page.lines)
    if (pages.length > 0) lines.push(lawn.name, ...pages)
    return worked
  })
  const laid = lawns.flatMap((one) => {
    const amount = question.lawns.find(({ id }) => id === one.id)?.amount ?? 0
    return one.plan ? [{ id: one.id, plan: one.plan, amount: amount * treatedShare(one) }] : []
  })
  const stops = question.batches.flatMap((batch) =>
    laneStops(
      laid.filter(({ id }) => batch.lawns.includes(id)),
      batch,
      question.truck,
    ),
  )
  book.note('lanes', () => [...lines, ...stops.map((stop) => stopLine(stop, lawns))])
  const plans = lawns.flatMap(({ plan }) => plan ?? [])
  return {
    lawns,
    stops,
    metres: sumOf(plans, ({ distance, between }) => distance + between),
    turns: sumOf(plans, ({ turns }) => turns),
    seconds: sumOf(lawns, ({ seconds }) => seconds),
    count: sumOf(plans, ({ passes }) => sumOf(passes, (pass) => pass.lanes.length)),
  }
}

/** Amounts in the working are SI. */
function stopLine({ lawnId, afterLane, within, left, fill }: LaneStop, lawns: readonly LawnLanes[]): string {
  const name = lawns.find(({ id }) => id === lawnId)?.name ?? ''
  return (
    `${name}, ${within ? 'in' : 'after'} lane ${afterLane}: left ${sixDigits(left)}, what was put in ` +
    `less the lanes behind${fill === undefined ? '' : `; filled in ${sixDigits(fill)}`}`
  )
}

/** What of a lawn is treated where some of it is kept from water. */
function treatedShare({ ground, keptOut }: Pick<LawnLanes, 'ground' | 'keptOut'>): number {
  const size = groundSize(ground)
  return keptOut && size > 0 ? size / (size + keptOut.size) : 1
}

const NOTHING = {
  plan: undefined,
  ground: [],
  keptOut: undefined,
  amounts: [],
  seconds: 0,
  reasons: [],
  overlap: 0,
}
/** Less than this nobody shuts a gate for. */
const LEAST_OVERLAP = 1.005

function lawnLanes(question: LanesQuestion, lawn: WalkedLawn, book: WorkingBook): LawnLanes {
  const { id, name, shapes } = lawn
  const rings = (sign: 'add' | 'subtract') =>
    shapes.filter((shape) => shape.sign === sign).flatMap((shape) => shape.rings)
  const none = (problem: LawnLanes['problem']) => ({ id, name, problem, cost: undefined, ...NOTHING })
  if (rings('add').length === 0) return none('noShape')
  const combined = combineOutlines(rings('add'), rings('subtract'))
  if (!combined.ok) return none('notCombined')
  const kept = keptOff(
    combined.value.net,
    shapes.filter(({ sign }) => sign === 'subtract'),
    question.buffers,
  )
  if (!kept.ok) return none(kept.error.kind)
  const { ground, keptOut } = kept.value
  const asked = askedOf(question, lawn, ground)
  const plan = lanePlan(asked, book)
  if (!plan.ok) return { ...none(plan.error.kind), ground, keptOut }
  const { value } = plan
  const size = groundSize(ground)
  const seconds = onFoot(value, question.speed)
  const overlap = size > 0 ? (value.distance * question.width) / (size * question.passes) : 1
  const amount = lawn.amount * treatedShare({ ground, keptOut })
  book.note('walk', () => [
    ...(keptOut
      ? [
          `${sixDigits(question.buffers.water)} m around water, ` +
            `${sixDigits(question.buffers.beds)} m around ` +
            `beds: ${sixDigits(keptOut.size)} m2 kept out, ${sixDigits(size)} m2 left`,
        ]
      : []),
    `between stretches ${sixDigits(value.between)} m / ${sixDigits(question.speed)} m/s; together ` +
      `${formatMinutes(seconds)} min`,
    `${sixDigits(value.distance)} m x ${sixDigits(question.width)} m / (${sixDigits(size)} m2 x ` +
      `${question.passes}) = ${sixDigits(overlap)} times the ground`,
    `each lane takes its share of its pass by length: ${sixDigits(amount)} / ${question.passes} x length / ` +
      'length of the pass',
  ])
  return {
    id,
    name,
    problem: undefined,
    plan: value,
    ground,
    keptOut,
    amounts: laneAmounts({ plan: value, amount }),
    seconds,
    reasons: [
      ...value.reasons,
      ...(overlap > LEAST_OVERLAP
        ? [`Lanes cover ${overlap.toFixed(2)} times the ground: shut the gate where they run over a lap.`]
        : []),
    ],
    overlap,
    cost: costOf(question, asked, value),
  }
}

const askedOf = (
  { width, headers, passes, speed, turn, shutSide, aim, bearing }: LanesQuestion,
  { direction, start }: WalkedLawn,
  ground: readonly Polygon[],
): LaneQuestion => ({
  ground,
  width,
  headers,
  passes,
  speed,
  turn,
  shutSide,
  aim,
  bearing,
  direction,
  start,
  narrow: 'once',
})

/** On the lanes, in turns, and between stretches, s. @param speed m/s */
export const onFoot = ({ seconds, between }: Pick<LanePlan, 'seconds' | 'between'>, speed: number): number =>
  seconds + between / speed

/** Against what would have been chosen: the usual lap, the quickest direction, from the first corner. */
function costOf(
  { headers, aim, speed }: LanesQuestion,
  asked: LaneQuestion,
  plan: LanePlan,
): LaneCost | undefined {
  const { direction, start } = asked
  const overruled =
    direction !== undefined || start !== undefined || headers !== USUAL_HEADERS || aim !== 'quickest'
  if (!overruled) return undefined
  const own = lanePlan({
    ...asked,
    headers: USUAL_HEADERS,
    aim: 'quickest',
    direction: undefined,
    start: undefined,
  })
  if (!own.ok) return undefined
  return {
    metres: plan.distance + plan.between - own.value.distance - own.value.between,
    seconds: onFoot(plan, speed) - onFoot(own.value, speed),
    turns: plan.turns - own.value.turns,
  }
}
