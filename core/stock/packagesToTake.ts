import { ROUNDING, isOver, stepsToCover, wholeSteps } from '../quantity/tolerance'

/**
 * What goes along of one product: out of the open package first, then full ones. Amounts SI, of one
 * dimension.
 */
export interface PackagesToTake {
  /** What the open package holds; nought where none is open. */
  readonly open: number
  readonly full: number
}

/**
 * Which packages to take from the shelf for a need: the open one is used up first.
 * @param onHand what the shelf holds, full packages and the open one together
 * @param size one package; all in one unit
 * @returns undefined where the shelf does not hold enough
 * Source: trade.md 6, packages to take from the shelf, what is left in the open one.
 * @example 60 lb needed, 113 on hand in bags of 50: the open one with 13, and 1 full (47 of 50)
 */
export function packagesToTake(need: number, onHand: number, size: number): PackagesToTake | undefined {
  if (isOver(need, onHand)) return undefined
  const whole = wholeSteps(onHand / size)
  const rest = onHand - whole * size
  const open = rest > size * ROUNDING ? rest : 0
  const more = need - open
  return { open, full: more > size * ROUNDING ? stepsToCover(more / size) : 0 }
}
