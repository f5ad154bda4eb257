import { err, ok, type Result } from '../result'
import { boundsOf, inside, type Bounds, type Point, type Ring } from './plane'

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
/** Pairs of sides, or of stretches, that are looked at: about a second of work at most. */
const MOST_LOOKS = 200_000_000

/**
 * Which rings cross each other or lie within one another, each pair once with one place; rings that only
 * touch don't meet. Refused past a bound that is counted while the sides are swept, before anything is cut.
 * @param rings none of which crosses itself; m
 * Source: sweep over boxes by their least x, then boxes of stretches of sides; even-odd rule for what lies
 * within.
 */
export function ringMeetings(rings: readonly Ring[]): Result<readonly RingMeeting[], TooComplex> {
  const swept = sweepRings(rings)
  if (!swept.ok) return swept
  const { crossed, boxes } = swept.value
  const middles = rings.map(innerPoint)
  const within = rings.flatMap((ring, i) =>
    rings.slice(0, i).flatMap((other, j): RingMeeting[] => {
      if (crossed.has(pairKey(j, i)) || !boxesMeet(boxes[i]!, boxes[j]!, 0)) return []
      const at = [middles[i]!, middles[j]!].find((point) => inside(point, ring) && inside(point, other))
      return at ? [{ rings: [j, i], at }] : []
    }),
  )
  return ok(
    [...crossed.values(), ...within].toSorted((a, b) => a.rings[1] - b.rings[1] || a.rings[0] - b.rings[0]),
  )
}

/** What a sweep over rings found. */
export interface SweptRings {
  readonly boxes: readonly Bounds[]
  /** Pairs of rings of which sides cross, each with one place. */
  readonly crossed: ReadonlyMap<string, RingMeeting>
  /** Pairs that cross, touch, lie in one another or come so near that rounding may join them. */
  readonly near: readonly (readonly [number, number])[]
}

/** Sides nearer than this are taken to touch, m: rounding must not part what belongs together. */
export const TOUCHING_M = 1e-3

const pairKey = (one: number, other: number) => `${one} ${other}`

/** What has been looked at and found so far, of all pairs of rings. */
interface Tally {
  readonly crossed: Map<string, RingMeeting>
  crossings: number
  looks: number
}

/**
 * Which rings meet or nearly do. Rings meet only where their boxes do, and of such a pair only stretches
 * whose boxes do: their sides are held against each other.
 * @param rings m; a ring without corners meets none
 * @returns or `tooComplex`, past the bounds of crossings and of looks
 * Source: sweep over boxes by their least x, then boxes of stretches of sides; even-odd rule.
 */
export function sweepRings(rings: readonly Ring[]): Result<SweptRings, TooComplex> {
  const tally: Tally = { crossed: new Map(), crossings: 0, looks: 0 }
  const near: (readonly [number, number])[] = []
  const stretched = rings.map(inStretches)
  const boxes = stretched.map(({ box }) => box)
  for (const [one, other] of boxPairs(boxes)) {
    const pair = { rings: [one, other], sides: [stretched[one]!, stretched[other]!] } as const
    const held = holdSides(pair, tally)
    if (!held.ok) return held
    if (held.value === 'near' || contains(one, other) || contains(other, one)) near.push([one, other])
  }
  return ok({ boxes, crossed: tally.crossed, near })

  /** Of rings whose sides are apart: one corner tells for all. */
  function contains(outer: number, inner: number): boolean {
    return boxWithin(boxes[inner]!, boxes[outer]!) && inside(rings[inner]![0]!, rings[outer]!)
  }
}

const boxWithin = (inner: Bounds, outer: Bounds): boolean =>
  inner.minX >= outer.minX && inner.maxX <= outer.maxX && inner.minY >= outer.minY && inner.maxY <= outer.maxY

/** Pairs of boxes that meet or nearly do, by a sweep from west to east. */
function* boxPairs(boxes: readonly Bounds[]): Generator<readonly [number, number]> {
  const order = boxes.map((_, i) => i).sort((one, other) => boxes[one]!.minX - boxes[other]!.minX)
  let active: number[] = []
  for (const now of order) {
    active = active.filter((other) => boxes[other]!.maxX + TOUCHING_M > boxes[now]!.minX)
    for (const other of active)
      if (boxesMeet(boxes[other]!, boxes[now]!, TOUCHING_M))
        yield [Math.min(other, now), Math.max(other, now)]
    active.push(now)
  }
}

/** Sides in a stretch: few enough to be held against those of another one by one. */
const STRETCH = 8

interface Stretch {
  readonly from: number
  readonly to: number
  readonly box: Bounds
}

/** A ring cut into stretches of sides, each with its box. */
interface Stretched {
  readonly ring: Ring
  readonly box: Bounds
  readonly stretches: readonly Stretch[]
}

function inStretches(ring: Ring): Stretched {
  const stretches: Stretch[] = []
  for (let from = 0; from < ring.length; from += STRETCH) {
    const to = Math.min(from + STRETCH, ring.length)
    stretches.push({ from, to, box: boxAlong(ring, from, to) })
  }
  return { ring, box: boxOf(ring), stretches }
}

/** The box of the sides from one corner to another, the last with its end. */
function boxAlong(ring: Ring, from: number, to: number): Bounds {
  const [x, y] = ring[to === ring.length ? 0 : to]!
  const box = { minX: x, minY: y, maxX: x, maxY: y }
  for (let i = from; i < to; i++) {
    const corner = ring[i]!
    if (corner[0] < box.minX) box.minX = corner[0]
    if (corner[0] > box.maxX) box.maxX = corner[0]
    if (corner[1] < box.minY) box.minY = corner[1]
    if (corner[1] > box.maxY) box.maxY = corner[1]
  }
  return box
}

interface Pair {
  readonly rings: readonly [number, number]
  readonly sides: readonly [Stretched, Stretched]
}

/** Holds the sides of two rings against each other. @returns how they lie, or what is too much of it */
function holdSides(pair: Pair, tally: Tally): Result<'near' | 'apart', TooComplex> {
  const [one, other] = pair.sides
  let lying: 'near' | 'apart' = 'apart'
  for (const ours of one.stretches) {
    if (!boxesMeet(ours.box, other.box, TOUCHING_M)) continue
    tally.looks += other.stretches.length
    for (const theirs of other.stretches) {
      if (!boxesMeet(ours.box, theirs.box, TOUCHING_M)) continue
      for (let i = ours.from; i < ours.to; i++) {
        const [a, b] = sideAt(one.ring, i)
        if (!sideMeets(a, b, theirs.box)) continue
        tally.looks += theirs.to - theirs.from
        for (let j = theirs.from; j < theirs.to; j++) {
          const [c, d] = sideAt(other.ring, j)
          if (!sidesNear(a, b, c, d)) continue
          lying = 'near'
          const at = properCrossing(a, b, c, d)
          if (!at) continue
          tally.crossings += 1
          const key = pairKey(...pair.rings)
          if (!tally.crossed.has(key)) tally.crossed.set(key, { rings: pair.rings, at })
          if (tally.crossings > MOST_CROSSINGS) return err({ kind: 'tooComplex', at })
        }
      }
      if (tally.looks > MOST_LOOKS) return err({ kind: 'tooComplex', at: one.ring[ours.from]! })
    }
  }
  return ok(lying)
}

const sideAt = (ring: Ring, index: number): readonly [Point, Point] => [
  ring[index]!,
  ring[index + 1 === ring.length ? 0 : index + 1]!,
]

const sideMeets = ([ax, ay]: Point, [bx, by]: Point, box: Bounds): boolean =>
  (ax < bx ? ax : bx) <= box.maxX + TOUCHING_M &&
  (ax < bx ? bx : ax) >= box.minX - TOUCHING_M &&
  (ay < by ? ay : by) <= box.maxY + TOUCHING_M &&
  (ay < by ? by : ay) >= box.minY - TOUCHING_M

/** Whether the boxes of two sides touch. */
const sidesNear = (a: Point, b: Point, [cx, cy]: Point, [dx, dy]: Point): boolean =>
  (a[0] < b[0] ? a[0] : b[0]) <= (cx < dx ? dx : cx) + TOUCHING_M &&
  (cx < dx ? cx : dx) <= (a[0] < b[0] ? b[0] : a[0]) + TOUCHING_M &&
  (a[1] < b[1] ? a[1] : b[1]) <= (cy < dy ? dy : cy) + TOUCHING_M &&
  (cy < dy ? cy : dy) <= (a[1] < b[1] ? b[1] : a[1]) + TOUCHING_M

/** Nearer an end than this share of a side, two sides touch rather than cross. */
const TOUCHES = 1e-9

function properCrossing(a: Point, b: Point, c: Point, d: Point): Point | undefined {
  const [d1x, d1y] = [b[0] - a[0], b[1] - a[1]]
  const [d2x, d2y] = [d[0] - c[0], d[1] - c[1]]
  const cross = d1x * d2y - d1y * d2x
  if (cross === 0) return undefined
  const [wx, wy] = [c[0] - a[0], c[1] - a[1]]
  const t = (wx * d2y - wy * d2x) / cross
  const u = (wx * d1y - wy * d1x) / cross
  const between = (share: number) => share > TOUCHES && share < 1 - TOUCHES
  return between(t) && between(u) ? [a[0] + t * d1x, a[1] + t * d1y] : undefined
}

/** A ring without corners has a box that meets none. */
const NOWHERE: Bounds = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity }

const boxOf = (ring: Ring): Bounds => boundsOf(ring) ?? NOWHERE

/** Whether two boxes share ground, or come nearer to it than a slack, m. */
const boxesMeet = (one: Bounds, other: Bounds, slack: number): boolean =>
  one.minX < other.maxX + slack &&
  other.minX < one.maxX + slack &&
  one.minY < other.maxY + slack &&
  other.minY < one.maxY + slack

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
