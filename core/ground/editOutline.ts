import { distance, type Point, type Ring } from './plane'

/** Corners are kept to the millimetre: finer than any instrument, and the same on every machine. */
export const toMillimetre = ([x, y]: Point): Point => [
  Math.round(x * 1000) / 1000,
  Math.round(y * 1000) / 1000,
]

/** A ring to the millimetre; corners that then fall on the one before them are one corner. */
export function ringToMillimetre(ring: Ring): Ring {
  const points = ring.map(toMillimetre)
  return points.filter(([x, y], i) => {
    const [beforeX, beforeY] = points.at(i - 1) ?? [Number.NaN, Number.NaN]
    return x !== beforeX || y !== beforeY
  })
}

export const movedCorner = (ring: Ring, index: number, to: Point): Ring =>
  ring.map((point, i) => (i === index ? toMillimetre(to) : point))

export const withoutCorner = (ring: Ring, index: number): Ring => ring.filter((_, i) => i !== index)

/** A new corner in the middle of the side that begins at a corner. */
export function splitSide(ring: Ring, index: number): Ring {
  const [a, b] = [ring[index]!, ring[(index + 1) % ring.length]!]
  return [
    ...ring.slice(0, index + 1),
    toMillimetre([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]),
    ...ring.slice(index + 1),
  ]
}

/**
 * Gives a side a typed length: its end moves along it, and all corners after it go with it up to the last, so
 * that only this side and the closing one change. For the closing side, only its start moves.
 */
export function withSide(ring: Ring, index: number, length: number): Ring {
  const closing = index === ring.length - 1
  const [from, to] = closing ? [ring[0]!, ring[index]!] : [ring[index]!, ring[index + 1]!]
  const before = distance(from, to)
  const [dx, dy] =
    before === 0
      ? [length, 0]
      : [((to[0] - from[0]) * (length - before)) / before, ((to[1] - from[1]) * (length - before)) / before]
  const moves = (i: number) => (closing ? i === index : i > index)
  return ring.map((point, i) => (moves(i) ? toMillimetre([point[0] + dx, point[1] + dy]) : point))
}

/**
 * The next corner of an outline typed side by side: so far on, turned so much to the right of the side before
 * (the first runs north). For people who draw from a tape and a sketch, and for those who use no mouse.
 * @param length m; @param turn degrees to the right, negative to the left
 */
export function withLeg(ring: Ring, length: number, turn: number): Ring {
  const start = ring.at(-1) ?? [0, 0]
  const before = ring.at(-2)
  const heading =
    (before ? Math.atan2(start[0] - before[0], start[1] - before[1]) : 0) + (turn * Math.PI) / 180
  return [
    ...(ring.length === 0 ? [start] : ring),
    toMillimetre([start[0] + length * Math.sin(heading), start[1] + length * Math.cos(heading)]),
  ]
}
