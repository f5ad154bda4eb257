import type { DepositProfile } from '../../calibration/trayPattern'

/** Where a pattern comes from: measured, or told that it is a guess. */
type PatternSource = 'trays' | 'nozzles' | 'drop' | 'typical' | 'typical boom'
export interface Pattern {
  readonly source: PatternSource
  readonly profile: DepositProfile
}

/** Shares of the middle, from one end of the throw to the other, as a sound broadcast spreader lays them. */
const TYPICAL = [0.06, 0.2, 0.42, 0.7, 0.92, 1, 0.92, 0.7, 0.42, 0.2, 0.06] as const
/** The whole throw over the swath it makes. */
const THROW_OVER_SWATH = 2

/** A broadcast spreader nobody put trays under: a guess. @param swath m */
export function typicalSpread(swath: number): Pattern {
  const spacing = (THROW_OVER_SWATH * swath) / TYPICAL.length
  return { source: 'typical', profile: profileOf([...TYPICAL], spacing) }
}

/** A drop spreader lays all of it between its wheels. @param swath m */
export function dropSpread(swath: number): Pattern {
  const trays = 20
  // The profile falls to nothing within one spacing beyond the last tray: narrow trays keep it upright.
  return {
    source: 'drop',
    profile: profileOf(
      Array.from({ length: trays }, () => 1),
      swath / (trays + 1),
    ),
  }
}

/**
 * A boom from what each nozzle gave: every fan lays a triangle of its own width.
 * @param flows in any one unit, left to right @param spacing between nozzles, m
 * @param fan what one nozzle covers, m; undefined: twice the spacing, as fans are meant to overlap
 * Source: trade.md 4 (spray width 2 h tan(angle/2), and overlap).
 */
export function nozzlePattern(
  flows: readonly number[],
  spacing: number,
  fan: number | undefined,
  source: 'nozzles' | 'typical boom',
): Pattern {
  const half = (fan ?? 2 * spacing) / 2
  const step = Math.min(spacing, half) / STEPS_A_NOZZLE
  const reach = ((flows.length - 1) * spacing) / 2 + half
  const count = 2 * Math.ceil(reach / step) + 1
  const deposits = Array.from({ length: count }, (_, i) => {
    const place = (i - (count - 1) / 2) * step
    return flows.reduce((sum, flow, n) => {
      const off = Math.abs(place - (n - (flows.length - 1) / 2) * spacing)
      return off < half ? sum + flow * (1 - off / half) : sum
    }, 0)
  })
  return { source, profile: profileOf(deposits, step) }
}
const STEPS_A_NOZZLE = 8

/** The same pattern with both sides alike: what adjusting a skewed one would bring. */
export const straightened = ({ places, deposits, spacing }: DepositProfile): DepositProfile => ({
  places,
  spacing,
  deposits: deposits.map((deposit, i) => (deposit + deposits[deposits.length - 1 - i]!) / 2),
})

const profileOf = (deposits: readonly number[], spacing: number): DepositProfile => ({
  places: deposits.map((_, i) => (i - (deposits.length - 1) / 2) * spacing),
  deposits,
  spacing,
})
