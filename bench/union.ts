import { combineOutlines, polygonArea } from '../core/ground/combineOutlines'
import type { Point } from '../core/ground/plane'
import { drawsFrom } from '../core/quantity/draws'
import { round } from './statistics'
import { wobbly } from './wobbly'

const EXCLUSIONS = 500
const CORNERS = 200

/**
 * Five hundred exclusions of two hundred corners taken from one lawn, many of them overlapping: the first
 * time, when the engine has yet to be compiled, and once more, moved a little so that all is worked out anew.
 */
export function timeUnion() {
  const draw = drawsFrom(1)
  const lawn = wobbly(0, 0, 150, 400, draw)
  const taken = Array.from({ length: EXCLUSIONS }, () =>
    wobbly((draw() - 0.5) * 260, (draw() - 0.5) * 260, 5, CORNERS, draw),
  )
  const begun = performance.now()
  const combined = combineOutlines([lawn], taken)
  const firstMs = round(performance.now() - begun)
  const again = performance.now()
  combineOutlines([lawn], taken)
  const sameAgainMs = round(performance.now() - again)
  const moved = taken.map((ring) => ring.map(([x, y]): Point => [x + 0.01, y]))
  const warm = performance.now()
  combineOutlines([lawn], moved)
  return {
    firstMs,
    warmMs: round(performance.now() - warm),
    netM2: combined.ok ? Math.round(polygonArea(combined.value.net)) : null,
    strays: combined.ok ? combined.value.strays.length : null,
    // The same rings in new arrays are worked out again; the very same arrays are not.
    sameAgainMs,
  }
}
