import type { Point, Ring } from './plane'

/** Where an outline crosses or touches itself. */
export interface Crossing {
  readonly at: Point
  /** Sides by their first corner, counted from 0. */
  readonly sides: readonly [number, number]
}

interface Side {
  readonly index: number
  readonly a: Point
  readonly b: Point
  readonly minX: number
  readonly maxX: number
  readonly minY: number
  readonly maxY: number
}

/** Enough to be shown; a scribble has thousands. */
const MOST = 20

const known = new WeakMap<Ring, readonly Crossing[]>()

/**
 * Every place where two sides that are not neighbours meet, or neighbours lie on each other; at most MOST of
 * them. Sides are swept by their least x, so that an outline of thousands of corners takes milliseconds.
 * Source: orientation test of segments.
 */
export function crossings(ring: Ring): readonly Crossing[] {
  const before = known.get(ring)
  if (before) return before
  const found = firstCrossings(ring, MOST)
  known.set(ring, found)
  return found
}

/** Keeps what was found for a ring on another thread. */
export const rememberCrossings = (ring: Ring, found: readonly Crossing[]): void => {
  known.set(ring, found)
}

/** The same, up to a number of one's own, worked out anew. */
export function firstCrossings(ring: Ring, most: number): readonly Crossing[] {
  if (ring.length <= 3) return []
  const sides = ring
    .map((a, index): Side => {
      const b = ring[(index + 1) % ring.length]!
      return {
        index,
        a,
        b,
        minX: Math.min(a[0], b[0]),
        maxX: Math.max(a[0], b[0]),
        minY: Math.min(a[1], b[1]),
        maxY: Math.max(a[1], b[1]),
      }
    })
    .toSorted((one, other) => one.minX - other.minX)
  const found: Crossing[] = []
  let active: Side[] = []
  for (const side of sides) {
    active = active.filter(({ maxX }) => maxX >= side.minX)
    for (const other of active) {
      if (other.minY > side.maxY || other.maxY < side.minY) continue
      const at = meeting(side, other, ring.length)
      if (!at) continue
      found.push({
        at,
        sides: side.index < other.index ? [side.index, other.index] : [other.index, side.index],
      })
      if (found.length >= most) return found
    }
    active.push(side)
  }
  return found
}

/** Where two sides meet other than at the corner they share. */
function meeting(one: Side, other: Side, count: number): Point | undefined {
  const gap = Math.abs(one.index - other.index)
  const [d1x, d1y] = [one.b[0] - one.a[0], one.b[1] - one.a[1]]
  const [d2x, d2y] = [other.b[0] - other.a[0], other.b[1] - other.a[1]]
  const cross = d1x * d2y - d1y * d2x
  if (gap === 1 || gap === count - 1) {
    // Neighbours share a corner; they only clash when one runs back over the other.
    const shared = one.b === other.a ? one.b : one.a
    return Math.abs(cross) <= 1e-12 * Math.hypot(d1x, d1y) * Math.hypot(d2x, d2y) && d1x * d2x + d1y * d2y < 0
      ? shared
      : undefined
  }
  if (cross === 0) return undefined
  const [wx, wy] = [other.a[0] - one.a[0], other.a[1] - one.a[1]]
  const t = (wx * d2y - wy * d2x) / cross
  const u = (wx * d1y - wy * d1x) / cross
  return t >= 0 && t <= 1 && u >= 0 && u <= 1 ? [one.a[0] + t * d1x, one.a[1] + t * d1y] : undefined
}
