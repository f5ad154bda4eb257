import type { Lane } from '../plan/lanePlan'
import type { LawnLanes } from './workOutLanes'

/** A lane with where it belongs. */
export interface WalkedLane {
  readonly lawnId: string
  readonly name: string
  /** From 1. */
  readonly pass: number
  readonly lane: Lane
  /** What it takes, kg or m3. */
  readonly amount: number
}

/** All lanes as they are walked: pass after pass, in each lawn after lawn. */
export function walkingOrder(lawns: readonly LawnLanes[]): readonly WalkedLane[] {
  const passes = Math.max(0, ...lawns.map(({ plan }) => plan?.passes.length ?? 0))
  return Array.from({ length: passes }, (_, i) =>
    lawns.flatMap(({ id, name, plan, amounts }) =>
      (plan?.passes[i]?.lanes ?? []).map((lane) => ({
        lawnId: id,
        name,
        pass: i + 1,
        lane,
        amount: amounts[lane.number - 1] ?? 0,
      })),
    ),
  ).flat()
}
