import { distance, type Point } from '../../ground/plane'
import { sumOf } from '../../quantity/counting'
import type { Lane, LanePlan } from '../plan/lanePlan'
import type { LaneBatch } from './lanesQuestion'

/** Where a person stops anyway, and what should be left there. */
export interface LaneStop {
  readonly lawnId: string
  readonly afterLane: number
  /** True where a load ends on its way: the lane takes more than one. */
  readonly within: boolean
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

/** What goes in: loads as they are mixed, each when the one before is out; a hopper up to its brim. */
interface Supply {
  /** What is in now, kg or m3. */
  readonly inside: () => number
  readonly take: (amount: number) => void
  /** What is filled in next; undefined when nothing is left. */
  readonly fill: () => number | undefined
  /** Whether something is filled in before all is out. */
  readonly topsUp: boolean
}

function supplyOf({ loads, holds }: LaneBatch): Supply {
  const [first = 0, ...others] = loads
  const whole = holds === undefined ? first : Math.min(first, holds)
  let [inside, rest] = [whole, first - whole]
  return {
    inside: () => inside,
    take: (amount) => {
      inside -= amount
    },
    fill: () => {
      const next = holds === undefined ? others.shift() : Math.min(rest, holds - Math.max(0, inside))
      if (next === undefined || next <= NEXT_TO_NOTHING * first) return undefined
      inside += next
      rest -= next
      return next
    },
    topsUp: holds !== undefined,
  }
}
/** Rounding leaves no more of a charge. */
const NEXT_TO_NOTHING = 1e-9

/**
 * Checkpoints and fills of what is weighed or mixed together, pass after pass, lawn after lawn: behind the
 * laps, half way on the side where the stretch began, behind a pass. A hopper is topped up behind the last
 * lane that it reaches to the end; a load that was mixed is sprayed out, and ends on its way.
 */
export function laneStops(
  lawns: readonly LaidLawn[],
  batch: LaneBatch,
  truck: Point | undefined,
): readonly LaneStop[] {
  const stops: LaneStop[] = []
  const amounts = new Map(lawns.map((lawn) => [lawn.id, laneAmounts(lawn)]))
  const supply = supplyOf(batch)
  const least = NEXT_TO_NOTHING * sumOf(batch.loads, (load) => load)
  const put = (stop: Omit<LaneStop, 'toTruck'>) =>
    stops.push({ ...stop, toTruck: truck && distance(stop.at, truck) })
  const passes = Math.max(0, ...lawns.map(({ plan }) => plan.passes.length))
  let before: Omit<LaneStop, 'why' | 'left' | 'fill' | 'toTruck'> | undefined
  const fillBehind = () => {
    const left = supply.inside()
    const fill = before && supply.fill()
    if (!before || fill === undefined) return
    const last = stops.at(-1)
    const same = last?.lawnId === before.lawnId && last.afterLane === before.afterLane && !last.within
    if (same) stops.pop()
    put({ ...before, why: same ? last.why : 'fill', left: Math.max(0, left), fill })
  }
  for (let pass = 1; pass <= passes; pass++)
    for (const lawn of lawns) {
      const lanes = lawn.plan.passes[pass - 1]?.lanes ?? []
      const reasons = stopsOf(lanes)
      for (const [i, { number, line }] of lanes.entries()) {
        const takes = amounts.get(lawn.id)?.[number - 1] ?? 0
        if (supply.inside() <= least || (supply.topsUp && supply.inside() < takes - least)) fillBehind()
        let left = takes
        while (supply.inside() < left - least) {
          left -= supply.inside()
          supply.take(supply.inside())
          const fill = supply.fill()
          if (fill === undefined) break
          const at = pointAlong(line, (takes - left) / takes)
          put({ lawnId: lawn.id, afterLane: number, within: true, pass, why: 'fill', at, left: 0, fill })
        }
        supply.take(left)
        before = { lawnId: lawn.id, afterLane: number, within: false, pass, at: line.at(-1) ?? [0, 0] }
        const why = reasons.get(i)
        if (why) put({ ...before, why, left: Math.max(0, supply.inside()), fill: undefined })
      }
    }
  return stops
}

/** @param share of the way along a line, 0 to 1 */
function pointAlong(line: readonly Point[], share: number): Point {
  const legs = line.slice(1).map((to, i) => ({ from: line[i]!, to, length: distance(line[i]!, to) }))
  let left = share * sumOf(legs, ({ length }) => length)
  for (const { from, to, length } of legs) {
    if (left <= length && length > 0)
      return [from[0] + ((to[0] - from[0]) * left) / length, from[1] + ((to[1] - from[1]) * left) / length]
    left -= length
  }
  return line.at(-1) ?? [0, 0]
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
