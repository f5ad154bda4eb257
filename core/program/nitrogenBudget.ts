import { isOver, isUnder } from '../quantity/tolerance'

/** Nitrogen of a year on one area: what lies there, what is still to come, what its grass wants; kg/m2. */
export interface NitrogenBudget {
  readonly laid: number
  readonly ahead: number
  /** Of what is to come: what its labels say is slow release. */
  readonly slow: number
  readonly wanted: readonly [number, number]
  readonly state: 'short' | 'within' | 'over'
  /**
   * What each feed to come is to be multiplied by to stay within; 1 where it does, undefined where no factor
   * helps: nothing is to come, or too much lies there already.
   */
  readonly factor: number | undefined
}

/** @param ahead kg/m2 of each feed to come, and what of it is slow release */
export function nitrogenBudget(
  laid: number,
  ahead: readonly { readonly n: number; readonly slow: number }[],
  wanted: readonly [number, number],
): NitrogenBudget {
  const comes = ahead.reduce((sum, { n }) => sum + n, 0)
  const slow = ahead.reduce((sum, one) => sum + one.slow, 0)
  const [least, most] = wanted
  const whole = laid + comes
  const state = isOver(whole, most) ? 'over' : isUnder(whole, least) ? 'short' : 'within'
  const goal = state === 'over' ? most : least
  const factor = state === 'within' ? 1 : comes > 0 && goal > laid ? (goal - laid) / comes : undefined
  return { laid, ahead: comes, slow, wanted, state, factor }
}
