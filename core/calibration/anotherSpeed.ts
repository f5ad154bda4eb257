import { ROUNDING } from '../quantity/tolerance'
import { metresPerSecond, type MetresPerSecond } from '../quantity/quantity'

/** A calibration is trusted this near its own speed and questioned beyond (trade.md 3). */
export const SPEED_TRUST = 0.15

export interface AtSpeed {
  /** kg or m3 on each m2 in one pass, at the new speed. */
  readonly perArea: number
  readonly trust: 'trusted' | 'questioned'
}

/**
 * What a constant flow lays down at another speed: half the speed lays down twice as much.
 * @param perArea kg or m3 per m2 at the calibrated speed
 * Source: trade.md 3, rate = flow / (speed x swath).
 */
export function atAnotherSpeed(perArea: number, calibrated: MetresPerSecond, now: MetresPerSecond): AtSpeed {
  return { perArea: (perArea * calibrated) / now, trust: paceOf(now, calibrated) }
}

/**
 * The speed at which the same flow lays down the wanted rate, and whether that speed is near enough to be
 * trusted.
 */
export function speedForRate(
  perArea: number,
  calibrated: MetresPerSecond,
  wanted: number,
): { readonly speed: MetresPerSecond; readonly trust: AtSpeed['trust'] } {
  const speed = metresPerSecond((calibrated * perArea) / wanted)
  return { speed, trust: paceOf(speed, calibrated) }
}

/**
 * Whether a speed is near enough to the one a calibration was made at; both in one unit. Source: trade.md 3.
 */
export const paceOf = (speed: number, calibrated: number): AtSpeed['trust'] =>
  Math.abs(speed / calibrated - 1) <= SPEED_TRUST + ROUNDING ? 'trusted' : 'questioned'
