import { distance, type Point } from '../../ground/plane'
import type { Lane } from './lanePlan'

/** Where a load runs out: behind a whole lane, never in the middle of one where that can be helped. */
export interface Refill {
  /** Number of the lane it comes after. */
  readonly afterLane: number
  readonly at: Point
  /** As the crow flies, m; undefined where nobody said where the truck stands. */
  readonly toTruck: number | undefined
}

/**
 * Refills of a plan: before the lane that the load no longer reaches to the end.
 * @param covers ground one load covers, all passes together, m2 @param width of a lane, m
 * @param passes each of them lays its share of the whole
 */
export function refillsOf(
  lanes: readonly Lane[],
  covers: number,
  width: number,
  passes: number,
  truck: Point | undefined,
): readonly Refill[] {
  const refills: Refill[] = []
  let left = covers
  for (const [i, lane] of lanes.entries()) {
    const asks = (lane.length * width) / passes
    const before = lanes[i - 1]
    if (asks > left * (1 + 1e-9) && before && left < covers) {
      const at = before.line.at(-1) ?? [0, 0]
      refills.push({ afterLane: before.number, at, toTruck: truck && distance(at, truck) })
      left = covers
    }
    // A lane longer than a load is filled up on its way: what is over comes off the next.
    left -= asks
    if (left < 0) left = covers - (-left % covers)
  }
  return refills
}
