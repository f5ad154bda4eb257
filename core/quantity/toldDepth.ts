import type { UnitSystem } from './systems'
import { METRES_PER } from './units'

/** A depth as a number in the unit a crew says it in. @param depth m */
export const depthIn = (depth: number, system: UnitSystem): number =>
  system.startsWith('metric') ? depth * 1000 : depth / METRES_PER.in
export const depthUnitOf = (system: UnitSystem): 'mm' | 'in' => (system.startsWith('metric') ? 'mm' : 'in')

/**
 * A depth of rain or water as a crew says it. @param depth m
 * @example toldDepth(0.0127, 'us-1000') // '0.5 in'
 */
export const toldDepth = (depth: number, system: UnitSystem): string =>
  system.startsWith('metric')
    ? `${Number(depthIn(depth, system).toFixed(1))} mm`
    : `${Number(depthIn(depth, system).toFixed(2))} in`
