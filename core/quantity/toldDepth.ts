import type { UnitSystem } from './systems'
import { METRES_PER } from './units'

/**
 * A depth of rain or water as a crew says it. @param depth m
 * @example toldDepth(0.0127, 'us-1000') // '0.5 in'
 */
export const toldDepth = (depth: number, system: UnitSystem): string =>
  system.startsWith('metric')
    ? `${Number((depth * 1000).toFixed(1))} mm`
    : `${Number((depth / METRES_PER.in).toFixed(2))} in`
