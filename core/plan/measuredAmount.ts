import { ROUNDING, isOver, wholeSteps } from '../quantity/tolerance'

/**
 * The amount a scale or cup with this step really measures for an exact amount.
 * Nearest step, exact halves down, at least one; never rounded up past the cap; nothing at all if even one
 * step passes it.
 * @param amount exact amount
 * @param step the tool's step
 * @param cap most the label allows here; all in one unit, cap may be Infinity
 * @returns a whole number of steps, in the same unit
 * Source: trade.md 6, rounded so as not to exceed the label maximum.
 * @example measuredAmount(9.46, 0.1, Infinity) // 9.5; with a cap of 9.48 // 9.4
 */
export function measuredAmount(amount: number, step: number, cap: number): number {
  const exact = amount / step
  const down = wholeSteps(exact)
  const nearest = exact - down > 0.5 + ROUNDING ? down + 1 : down
  if (!isOver(nearest * step, cap)) return atLeastOne(nearest, step, cap)
  return atLeastOne(down, step, cap)
}

function atLeastOne(steps: number, step: number, cap: number): number {
  if (steps >= 1) return steps * step
  return !isOver(step, cap) ? step : 0
}
