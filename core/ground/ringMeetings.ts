import { err, ok, type Result } from '../result'
import { inside, type Point, type Ring } from './plane'

/** Two rings that share ground, by their places in the list, and a place where they do. */
export interface RingMeeting {
  readonly rings: readonly [number, number]
  readonly at: Point
}

/**
 * The outlines meet so often, or have so many corners side by side, that joining them would take too long.
 */
export interface TooComplex {
  readonly kind: 'tooComplex'
  readonly at: Point
}

/**
 * Sides of different outlines may cross this often before joining them is refused. Two crossing combs of
 * 1,000 corners cross a quarter of a million times; lawns and their beds a few dozen.
 */
const MOST_CROSSINGS = 4000
/** Pairs of sides that are looked at: about a second of work at most. */
const MOST_LOOKS = 200_000_000

interface Side {
  readonly ring: number
  readonly a: Point
  readonly b: Point
  readonly minX: number
  readonly maxX: number
  readonly minY: number
  readonly maxY: number
}

/**
 * Which rings cross each other or lie within one another, each pair once with one place; rings that only
 * touch don't meet. Refused past a bound that is counted while the sides are swept, before anything is cut.
 * @param rings none of which crosses itself; m
 * Source: sweep over boxes, then sides, by their least x; even-odd rule for what lies within.
 */
export function ringMeetings(rings: readonly Ring[]): Result<readonly RingMeeting[], TooComplex> {
  const swept = crossingPairs(rings)
  if (!swept.ok) return swept
  const crossed = swept.value
  const boxes = rings.map(boxOf)
  const middles = rings.map(innerPoint)
  const within = rings.flatMap((ring, i) =>
    rings.slice(0, i).flatMap((other, j): RingMeeting[] => {
      if (crossed.has(pairKey(j, i)) || !boxesMeet(boxes[i]!, boxes[j]!)) return []
      const at = [middles[i]!, middles[j]!].find((point) => inside(point, ring) && inside(point, other))
      return at ? [{ rings: [j, i], at }] : []
    }),
  )
  return ok(
    [...crossed.values(), ...within].toSorted((a, b) => a.rings[1] - b.rings[1] || a.rings[0] - b.rings[0]),
  )
}

/** Whether outlines meet too often to be joined: the sweep alone, without asking what lies within what. */
export function tooManyMeetings(rings: readonly Ring[]): TooComplex | undefined {
  const swept = crossingPairs(rings)
  return swept.ok ? undefined : swept.error
}

const pairKey = (one: number, other: number) => `${one} ${other}`

/** What has been looked at and found so far, of all pairs of rings. */
interface Tally {
  readonly found: Map<string, RingMeeting>
  crossings: number
  looks: number
}

/** Rings meet only where their boxes do: each such pair is swept over the sides that lie there. */
function crossingPairs(rings: readonly Ring[]): Result<ReadonlyMap<string, RingMeeting>, TooComplex> {
  const tally: Tally = { found: new Map(), crossings: 0, looks: 0 }
  const boxes = rings.map(boxOf)
  for (const [one, other] of boxPairs(boxes)) {
    const here = commonBox(boxes[one]!, boxes[other]!)
    tally.looks += rings[one]!.length + rings[other]!.length
    const sides: Side[] = []
    putSides(rings[one]!, one, here, sides)
    const ours = sides.length
    if (ours > 0) putSides(rings[other]!, other, here, sides)
    if (sides.length === ours) continue
    const problem = sweep(sides, tally)
    if (problem) return err(problem)
  }
  return ok(tally.found)
}

/** Pairs of boxes that meet, by a sweep from west to east. */
function* boxPairs(boxes: readonly Box[]): Generator<readonly [number, number]> {
  const order = boxes.map((_, i) => i).sort((one, other) => boxes[one]!.from[0] - boxes[other]!.from[0])
  let active: number[] = []
  for (const now of order) {
    active = active.filter((other) => boxes[other]!.to[0] > boxes[now]!.from[0])
    for (const other of active)
      if (boxesMeet(boxes[other]!, boxes[now]!)) yield [Math.min(other, now), Math.max(other, now)]
    active.push(now)
  }
}

const commonBox = (one: Box, other: Box): Box => ({
  from: [Math.max(one.from[0], other.from[0]), Math.max(one.from[1], other.from[1])],
  to: [Math.min(one.to[0], other.to[0]), Math.min(one.to[1], other.to[1])],
})

/** Sweeps the sides of two rings from west to east. @returns what is too much of it */
function sweep(sides: Side[], tally: Tally): TooComplex | undefined {
  const active: Side[] = []
  for (const side of sides.sort((one, other) => one.minX - other.minX)) {
    let kept = 0
    tally.looks += active.length
    for (const other of active) {
      // What ends before this side is met by none that follow: it is left out as the list is gone through.
      if (other.maxX <= side.minX) continue
      active[kept] = other
      kept += 1
      if (other.minY >= side.maxY || other.maxY <= side.minY || other.ring === side.ring) continue
      const at = properCrossing(side, other)
      if (!at) continue
      tally.crossings += 1
      const pair = [Math.min(side.ring, other.ring), Math.max(side.ring, other.ring)] as const
      if (!tally.found.has(pairKey(...pair))) tally.found.set(pairKey(...pair), { rings: pair, at })
      if (tally.crossings > MOST_CROSSINGS) return { kind: 'tooComplex', at }
    }
    if (tally.looks > MOST_LOOKS) return { kind: 'tooComplex', at: side.a }
    active.length = kept
    active.push(side)
  }
  return undefined
}

/** Puts the sides of a ring that reach a box beside others; nothing is made of those that don't. */
function putSides(ring: Ring, index: number, { from, to }: Box, sides: Side[]): void {
  let a = ring.at(-1)!
  for (const b of ring) {
    const minX = a[0] < b[0] ? a[0] : b[0]
    const maxX = a[0] < b[0] ? b[0] : a[0]
    const minY = a[1] < b[1] ? a[1] : b[1]
    const maxY = a[1] < b[1] ? b[1] : a[1]
    if (minX <= to[0] && maxX >= from[0] && minY <= to[1] && maxY >= from[1])
      sides.push({ ring: index, a, b, minX, maxX, minY, maxY })
    a = b
  }
}

/** Nearer an end than this share of a side, two sides touch rather than cross. */
const TOUCHES = 1e-9

function properCrossing(one: Side, other: Side): Point | undefined {
  const [d1x, d1y] = [one.b[0] - one.a[0], one.b[1] - one.a[1]]
  const [d2x, d2y] = [other.b[0] - other.a[0], other.b[1] - other.a[1]]
  const cross = d1x * d2y - d1y * d2x
  if (cross === 0) return undefined
  const [wx, wy] = [other.a[0] - one.a[0], other.a[1] - one.a[1]]
  const t = (wx * d2y - wy * d2x) / cross
  const u = (wx * d1y - wy * d1x) / cross
  const between = (share: number) => share > TOUCHES && share < 1 - TOUCHES
  return between(t) && between(u) ? [one.a[0] + t * d1x, one.a[1] + t * d1y] : undefined
}

interface Box {
  readonly from: Point
  readonly to: Point
}

const boxOf = (ring: Ring): Box => {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const [x, y] of ring) {
    minX = Math.min(minX, x)
    minY = Math.min(minY, y)
    maxX = Math.max(maxX, x)
    maxY = Math.max(maxY, y)
  }
  return { from: [minX, minY], to: [maxX, maxY] }
}

const boxesMeet = (one: Box, other: Box): boolean =>
  one.from[0] < other.to[0] &&
  other.from[0] < one.to[0] &&
  one.from[1] < other.to[1] &&
  other.from[1] < one.to[1]

/**
 * A point inside a ring: the middle of the widest stretch of ground at half the height between two corners.
 */
function innerPoint(ring: Ring): Point {
  const heights = [...new Set(ring.map(([, y]) => y))].toSorted((a, b) => a - b)
  let [best, width]: [Point, number] = [ring[0] ?? [0, 0], -1]
  const step = Math.max(1, Math.floor(heights.length / 8))
  for (let i = 0; i + 1 < heights.length; i += step) {
    const y = (heights[i]! + heights[i + 1]!) / 2
    const xs = crossedAt(ring, y)
    for (let k = 0; k + 1 < xs.length; k += 2) {
      if (xs[k + 1]! - xs[k]! <= width) continue
      width = xs[k + 1]! - xs[k]!
      best = [(xs[k]! + xs[k + 1]!) / 2, y]
    }
  }
  return best
}

const crossedAt = (ring: Ring, y: number): readonly number[] =>
  ring
    .flatMap(([ax, ay], i) => {
      const [bx, by] = ring[(i + 1) % ring.length]!
      return ay > y !== by > y ? [ax + ((y - ay) / (by - ay)) * (bx - ax)] : []
    })
    .toSorted((a, b) => a - b)
