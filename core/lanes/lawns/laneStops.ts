import { distance, type Point } from '../../ground/plane'
import { sumOf } from '../../quantity/counting'
import type { Lane, LanePlan } from '../plan/lanePlan'
import type { LaneBatch } from './lanesQuestion'

/** Where a person stops anyway, and what should be left there. */
export interface LaneStop {
  readonly lawnId: string
  readonly afterLane: number
  /** From 1. */
  readonly pass: number
  readonly why: 'laps' | 'half' | 'pass' | 'fill'
  readonly at: Point
  /** kg or m3 in hopper or tank, before anything is filled in. */
  readonly left: number
  /** What is filled in here; undefined where nothing is. */
  readonly fill: number | undefined
  /** As the crow flies, m; undefined where nobody said where the truck stands. */
  readonly toTruck: number | undefined
}

/** A lawn with its lanes, and what goes on it in all passes, kg or m3. */
export interface LaidLawn {
  readonly id: string
  readonly plan: LanePlan
  readonly amount: number
}

/** What each lane takes: its share of its pass by length, lane 1 first. Source: trade.md 6, checkpoints. */
export function laneAmounts({ plan, amount }: Pick<LaidLawn, 'plan' | 'amount'>): readonly number[] {
  const share = amount / Math.max(1, plan.passes.length)
  return plan.passes.flatMap(({ lanes }) => {
    const whole = sumOf(lanes, ({ length }) => length)
    return lanes.map(({ length }) => (whole > 0 ? (share * length) / whole : 0))
  })
}

/**
 * Checkpoints and fills of what is weighed or mixed together, pass after pass, lawn after lawn: behind the
 * laps, half way on the side where the stretch began, behind a pass, and before the lane that what is in no
 * longer reaches to the end.
 */
export function laneStops(
  lawns: readonly LaidLawn[],
  { fills }: Pick<LaneBatch, 'fills'>,
  truck: Point | undefined,
): readonly LaneStop[] {
  const stops: LaneStop[] = []
  const amounts = new Map(lawns.map((lawn) => [lawn.id, laneAmounts(lawn)]))
  const passes = Math.max(0, ...lawns.map(({ plan }) => plan.passes.length))
  let [next, filled, used] = [1, fills[0] ?? 0, 0]
  let before: { readonly lawn: LaidLawn; readonly lane: Lane; readonly pass: number } | undefined
  const stop = (why: LaneStop['why'], fill?: number) => {
    if (!before) return
    const { lawn, lane, pass } = before
    const at = lane.line.at(-1) ?? [0, 0]
    const last = stops.at(-1)
    const same = last?.lawnId === lawn.id && last.afterLane === lane.number
    if (same) stops.pop()
    stops.push({
      lawnId: lawn.id,
      afterLane: lane.number,
      pass,
      why: same && why === 'fill' ? last.why : why,
      at,
      left: filled - used,
      fill: fill === undefined ? undefined : fill + (same ? (last.fill ?? 0) : 0),
      toTruck: truck && distance(at, truck),
    })
  }
  for (let pass = 1; pass <= passes; pass++)
    for (const lawn of lawns) {
      const lanes = lawn.plan.passes[pass - 1]?.lanes ?? []
      const reasons = stopsOf(lanes)
      for (const [i, lane] of lanes.entries()) {
        const takes = amounts.get(lawn.id)?.[lane.number - 1] ?? 0
        while (next < fills.length && used + takes > filled * (1 + 1e-9)) {
          const fill = fills[next]!
          if (before) stop('fill', fill)
          filled += fill
          next += 1
        }
        used += takes
        before = { lawn, lane, pass }
        const why = reasons.get(i)
        if (why) stop(why)
      }
    }
  return stops
}

/** By place in a pass: behind the laps, half way through the rest, behind the last. */
function stopsOf(lanes: readonly Lane[]): ReadonlyMap<number, LaneStop['why']> {
  const laps = lanes.findLastIndex(({ header }) => header)
  const inner = lanes.length - 1 - laps
  // An even number of lanes brings one back to the side where one began.
  const half = inner >= LEAST_FOR_HALF ? laps + 2 * Math.round(inner / 4) : undefined
  return new Map([
    ...(laps >= 0 && inner > 0 ? [[laps, 'laps'] as const] : []),
    ...(half === undefined ? [] : [[half, 'half'] as const]),
    [lanes.length - 1, 'pass'] as const,
  ])
}
/** Fewer lanes than this are not weighed half way. */
const LEAST_FOR_HALF = 6
