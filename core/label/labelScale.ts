import { typedFigure } from '../quantity/entered'
import { rateUnitParts } from '../quantity/rateUnit'
import { formatFigure, formatSteps } from '../quantity/format'
import type { LabelledProduct } from './label'
import type { RateLine } from './productShape'

/** Where the label's range and today's rate lie on a scale from 0 to 1. */
export interface LabelScale {
  readonly low: number
  readonly high: number
  readonly today: number
  readonly lowText: string
  readonly highText: string
  readonly unit: string
}

/** Room beyond the label's highest rate, so that a rate above it can still be seen on the scale. */
const HEADROOM = 1.35

/**
 * The label's range as a scale in the label's own unit; undefined where there is no highest rate or it counts
 * something else than the rate.
 * @example low 2, high 5, rate 3.4 in one unit: 0.296, 0.741, 0.504 of a scale to 6.75
 */
export function labelScale({ rate, basis, limits }: LabelledProduct): LabelScale | undefined {
  const high = limits?.high ?? limits?.maxPerApplication
  if (!high || (basis !== undefined && basis !== 'product')) return undefined
  const parts = rateUnitParts(high.unit)
  const share = (one: typeof rate): number | undefined => {
    const its = rateUnitParts(one.unit)
    return its.per === parts.per && its.dimension === parts.dimension
      ? (one.value * its.factor) / parts.factor
      : undefined
  }
  const today = share(rate)
  const low = limits?.low ? share(limits.low) : 0
  if (today === undefined || low === undefined) return undefined
  const full = Math.max(high.value * HEADROOM, today)
  return {
    low: low / full,
    high: high.value / full,
    today: today / full,
    lowText: limits?.low?.unit === high.unit ? formatSteps(limits.low.value) : formatFigure(low),
    highText: formatSteps(high.value),
    unit: high.unit,
  }
}

/** The scale of a label's line, its usual rate standing for today's; undefined where it prints no range. */
export function lineScale({ id, basis, rate, low, high, most }: RateLine): LabelScale | undefined {
  const read = (entered: RateLine['rate']) => typedFigure(entered, 'rate')
  const usual = read(rate) ?? read(low)
  const top = read(high) ?? read(most)
  if (!usual || !top) return undefined
  const least = read(low)
  return labelScale({ id, basis, rate: usual, limits: { high: top, ...(least && { low: least }) } })
}
