import { sumOf } from '../../quantity/counting'
import type { WalkedLane } from './walkingOrder'

/** A lane, and how much of the whole is behind at its end. */
export interface StretchLane extends WalkedLane {
  /** Above 0, up to 1, by what the lanes take. */
  readonly behind: number
}

/**
 * The lanes walked between two places of a way: one stops at the end of the lane that lies nearest to each,
 * where a person would stop anyway.
 * @param lanes all of the way, in walking order; @param from, @param to shares of it, 0 to 1
 * @returns empty where there are no lanes, or both places are nearest to one lane's end
 * Source: trade.md 6 and 8, checkpoints at lanes.
 */
export function lanesOfStretch(
  lanes: readonly WalkedLane[],
  from: number,
  to: number,
): readonly StretchLane[] {
  const whole = sumOf(lanes, ({ amount }) => amount)
  if (!(whole > 0)) return []
  let sum = 0
  const ends = lanes.map((lane): StretchLane => {
    sum += lane.amount
    return { ...lane, behind: Math.min(1, sum / whole) }
  })
  /** How many lanes are behind at the place. */
  const nearest = (share: number) =>
    ends.reduce(
      (best, { behind }, i) =>
        Math.abs(behind - share) < Math.abs((ends[best - 1]?.behind ?? 0) - share) ? i + 1 : best,
      0,
    )
  return ends.slice(nearest(from), nearest(to))
}
