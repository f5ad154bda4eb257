import { lanesOfStretch, type StretchLane } from '../../lanes/lawns/lanesOfStretch'
import type { WalkedLane } from '../../lanes/lawns/walkingOrder'
import { areaSi } from '../../quantity/quantity'
import type { FrozenPlan } from '../runEvent'
import type { RunStep } from './runSteps'

/** A step that is walked, or the checkpoint at the end of one. */
export type WalkedStep = Extract<RunStep, { kind: 'pass' | 'check' | 'spray' }>

/**
 * The lanes of one step: of a pass up to its checkpoint, of a load the ground it is for, behind what the
 * loads before it really covered.
 * @param walked all lanes of the application, in walking order
 * @returns empty where no lanes are known
 * Source: trade.md 8.
 */
export function stepLanes(
  walked: readonly WalkedLane[],
  step: WalkedStep,
  { plan }: FrozenPlan,
): readonly StretchLane[] {
  if (step.kind === 'spray') {
    const whole = areaSi(plan.totals.size)
    const [from, to] = [step.behind, step.behind + areaSi(step.load.size)].map((size) =>
      Math.min(1, size / whole),
    )
    return lanesOfStretch(walked, from ?? 0, to ?? 1)
  }
  const [from, to] = step.kind === 'check' ? [0, step.share] : [step.from, step.to]
  const group = step.kind === 'pass' && step.load > 0 ? plan.rates?.[step.load - 1] : undefined
  const own = walked.filter(
    ({ pass, lawnId }) => pass === step.pass && (group?.areas.includes(lawnId) ?? true),
  )
  return lanesOfStretch(own, from, to)
}
