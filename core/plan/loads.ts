import type { LoadStyle } from './planRequest'

/** Loads beyond this many are a mistake in the units, not a plan. */
export const MOST_LOADS = 1000

/** Whole loads are counted with this tolerance, so that 52 gal in a 26 gal tank is two loads, not three. */
const COUNT_TOLERANCE = 1e-9

export interface Load {
  /** m3 of finished spray in the tank. */
  readonly carrier: number
  /** m2 of lawn it treats, the dead volume that stays in the hose taken off. */
  readonly size: number
  /** m2 the same spray would cover if all of it came out; what a dose in this tank is measured for. */
  readonly covers: number
}

/**
 * How many tanks a mix takes.
 * @param mix m3 of spray to make, dead volume included
 * @param tank m3 one tank holds
 */
export const loadCount = (mix: number, tank: number): number => Math.max(1, Math.ceil(mix / tank - COUNT_TOLERANCE))

/**
 * Splits a mix into tank loads. The dead volume is taken from the last load, and from the one before if the last is smaller.
 * @param mix m3 to make; @param dead m3 that never comes out; @param carrierRate m3 on each m2
 * @returns loads whose carrier sums to the mix and whose sizes sum to the lawn
 */
export function splitLoads(mix: number, tank: number, style: LoadStyle, dead: number, carrierRate: number): readonly Load[] {
  const count = loadCount(mix, tank)
  const carriers = Array.from({ length: count }, (_, i) => {
    if (style === 'equal') return mix / count
    return i < count - 1 ? tank : mix - tank * (count - 1)
  })
  let stays = dead
  const loads: Load[] = []
  for (const carrier of carriers.toReversed()) {
    const kept = Math.min(stays, carrier)
    stays -= kept
    loads.push({ carrier, size: (carrier - kept) / carrierRate, covers: carrier / carrierRate })
  }
  return loads.reverse()
}
