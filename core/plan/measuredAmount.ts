/** Steps are counted with this tolerance: 0.7 / 0.1 is seven steps. */
const STEP_TOLERANCE = 1e-9

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
  const down = Math.floor(exact + STEP_TOLERANCE)
  const nearest = exact - down > 0.5 + STEP_TOLERANCE ? down + 1 : down
  if (nearest * step <= withinCap(cap)) return atLeastOne(nearest, step, cap)
  return atLeastOne(down, step, cap)
}

const withinCap = (cap: number): number => cap * (1 + STEP_TOLERANCE)

function atLeastOne(steps: number, step: number, cap: number): number {
  if (steps >= 1) return steps * step
  return step <= withinCap(cap) ? step : 0
}
