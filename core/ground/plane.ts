import { sumOf } from '../quantity/counting'
/** A point of a site's plan, in metres: x to the east, y to the north. */
export type Point = readonly [x: number, y: number]
/** Corners in order, the last not repeated. */
export type Ring = readonly Point[]

export interface Bounds {
  readonly minX: number
  readonly minY: number
  readonly maxX: number
  readonly maxY: number
}

/**
 * Area of a ring, m2; positive when its corners run against the clock. Source: shoelace formula, about the
 * first corner so that far-off coordinates lose no digits.
 */
export function signedArea(ring: Ring): number {
  const [ox, oy] = ring[0] ?? [0, 0]
  let twice = 0
  for (let i = 0; i < ring.length; i++) {
    const [ax, ay] = ring[i]!
    const [bx, by] = ring[(i + 1) % ring.length]!
    twice += (ax - ox) * (by - oy) - (bx - ox) * (ay - oy)
  }
  return twice / 2
}

export const ringArea = (ring: Ring): number => Math.abs(signedArea(ring))

export const distance = ([ax, ay]: Point, [bx, by]: Point): number => Math.hypot(bx - ax, by - ay)

/** Length of each side, the first from the first corner to the second, m. */
export const sides = (ring: Ring): readonly number[] =>
  ring.map((corner, i) => distance(corner, ring[(i + 1) % ring.length]!))

export const perimeter = (ring: Ring): number => sides(ring).reduce((sum, side) => sum + side, 0)

/** Middle of the area of a ring; of its corners when it encloses nothing. */
export function centroid(ring: Ring): Point {
  const area = signedArea(ring)
  const [ox, oy] = ring[0] ?? [0, 0]
  if (Math.abs(area) < 1e-9) return [mean(ring.map(([x]) => x)), mean(ring.map(([, y]) => y))]
  let [sumX, sumY] = [0, 0]
  for (let i = 0; i < ring.length; i++) {
    const [ax, ay] = [ring[i]![0] - ox, ring[i]![1] - oy]
    const next = ring[(i + 1) % ring.length]!
    const [bx, by] = [next[0] - ox, next[1] - oy]
    const cross = ax * by - bx * ay
    sumX += (ax + bx) * cross
    sumY += (ay + by) * cross
  }
  return [ox + sumX / (6 * area), oy + sumY / (6 * area)]
}

const mean = (values: readonly number[]) =>
  values.length === 0 ? 0 : sumOf(values, (value) => value) / values.length

/** The box around points; undefined for none. Loops, not spreads: a track may have two hundred thousand. */
export function boundsOf(points: Iterable<Point>): Bounds | undefined {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const [x, y] of points) {
    minX = Math.min(minX, x)
    minY = Math.min(minY, y)
    maxX = Math.max(maxX, x)
    maxY = Math.max(maxY, y)
  }
  return minX <= maxX ? { minX, minY, maxX, maxY } : undefined
}

/**
 * Where something known only by its dimensions is put on the plan: its own zero at x, y, turned clockwise by
 * degrees.
 */
export interface Place {
  readonly x: number
  readonly y: number
  readonly turn: number
}

/** A ring in its own coordinates as it lies on the plan. */
export function placed(ring: Ring, { x, y, turn }: Place): Ring {
  const [sin, cos] = [Math.sin((-turn * Math.PI) / 180), Math.cos((-turn * Math.PI) / 180)]
  return ring.map(([px, py]): Point => [x + px * cos - py * sin, y + px * sin + py * cos])
}

/** A point turned clockwise about another by degrees. */
export function turned([px, py]: Point, [cx, cy]: Point, degrees: number): Point {
  const [point] = placed([[px - cx, py - cy]], { x: cx, y: cy, turn: degrees })
  return point!
}

/** Whether a point lies inside a ring (even-odd rule; a point on a side may fall either way). */
export function inside([x, y]: Point, ring: Ring): boolean {
  let within = false
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [ax, ay] = ring[i]!
    const [bx, by] = ring[j]!
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) within = !within
  }
  return within
}

/** The point of a side that is nearest to another point. */
export function nearestOn([px, py]: Point, [ax, ay]: Point, [bx, by]: Point): Point {
  const [dx, dy] = [bx - ax, by - ay]
  const length = dx * dx + dy * dy
  const along = length === 0 ? 0 : Math.min(1, Math.max(0, ((px - ax) * dx + (py - ay) * dy) / length))
  return [ax + along * dx, ay + along * dy]
}
