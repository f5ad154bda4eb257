import { isOver, stepsToCover } from '../quantity/tolerance'
import type { LoadStyle } from './planRequest'

/** Loads beyond this many are a mistake in the units, not a plan. */
export const MOST_LOADS = 1000

export interface Load {
  /** m3 of finished spray in the tank. */
  readonly carrier: number
  /** m2 of lawn it treats, the dead volume that stays in the hose taken off. */
  readonly size: number
  /** m2 the same spray would cover if all of it came out; what a dose in this tank is measured for. */
  readonly covers: number
  /** Places of the areas it is for, where it ends at their bounds. */
  readonly areas?: readonly number[]
}

/**
 * How many tanks a mix takes.
 * @param mix m3 of spray to make, dead volume included
 * @param tank m3 one tank holds
 */
export const loadCount = (mix: number, tank: number): number => Math.max(1, stepsToCover(mix / tank))

/**
 * Splits a mix into tank loads. The dead volume is taken from the last load, and from the one before if the
 * last is smaller.
 * @param mix m3 to make; @param dead m3 that never comes out; @param carrierRate m3 on each m2
 * @returns loads whose carrier sums to the mix and whose sizes sum to the lawn
 */
export function splitLoads(
  mix: number,
  tank: number,
  style: Exclude<LoadStyle, 'by-area'>,
  dead: number,
  carrierRate: number,
): readonly Load[] {
  const count = loadCount(mix, tank)
  const carriers = Array.from({ length: count }, (_, i) => {
    if (style === 'equal') return mix / count
    return i < count - 1 ? tank : mix - tank * (count - 1)
  })
  return lessDead(
    carriers.map((carrier) => ({ carrier })),
    dead,
    carrierRate,
  )
}

/**
 * Loads that end where areas end: whole areas as long as the tank holds them; one that is larger than a tank
 * gets equal loads of its own. The dead volume goes with the last area.
 * @param sprays m3 of spray on each area, in the order they are treated
 */
export function loadsByArea(
  sprays: readonly number[],
  tank: number,
  dead: number,
  carrierRate: number,
): readonly Load[] {
  const loads: { carrier: number; areas: number[]; shared: 'may be' | 'never' }[] = []
  sprays.forEach((own, area) => {
    const spray = own + (area === sprays.length - 1 ? dead : 0)
    const open = loads.at(-1)
    if (open?.shared === 'may be' && !isOver(open.carrier + spray, tank)) {
      open.carrier += spray
      open.areas.push(area)
      return
    }
    const count = loadCount(spray, tank)
    if (count <= MOST_LOADS)
      for (let i = 0; i < count; i++)
        loads.push({ carrier: spray / count, areas: [area], shared: count === 1 ? 'may be' : 'never' })
  })
  return lessDead(loads, dead, carrierRate)
}

/** What stays in the hose is taken off the last load, and off the one before if the last is smaller. */
function lessDead(
  loads: readonly Pick<Load, 'carrier' | 'areas'>[],
  dead: number,
  carrierRate: number,
): readonly Load[] {
  let stays = dead
  return loads
    .toReversed()
    .map(({ carrier, areas }): Load => {
      const kept = Math.min(stays, carrier)
      stays -= kept
      return {
        carrier,
        ...(areas && { areas }),
        size: (carrier - kept) / carrierRate,
        covers: carrier / carrierRate,
      }
    })
    .reverse()
}
