import clipping from 'polygon-clipping'
import { err, ok, type Result } from '../result'
import { ringArea, type Point, type Ring } from './plane'
import { ringMeetings } from './ringMeetings'

/** A piece of ground: its outline, then its holes. */
export type Polygon = readonly Ring[]

/** An exclusion that does not lie wholly on the lawn. */
export interface Stray {
  /** Which of the exclusions, counted from 0. */
  readonly index: number
  readonly kind: 'outside' | 'crossing'
  /** What lies beyond the outline, m2 and where. */
  readonly beyond: number
  readonly pieces: readonly Polygon[]
}

export interface CombinedOutlines {
  readonly net: readonly Polygon[]
  /** Union of the outlines, m2. */
  readonly added: number
  /** What the exclusions really take from it, m2: overlaps once, nothing beyond the outline. */
  readonly taken: number
  readonly strays: readonly Stray[]
}

/**
 * `notCombined`: the geometry is too degenerate to be cut, such as many sides lying on each other.
 * `tooComplex`: the outlines cross so often that cutting them would hold everything else up.
 */
export type CombineError = { readonly kind: 'notCombined' | 'tooComplex' }

/** Below this an overhang is rounding, not ground, m2. */
const NOTHING_M2 = 1e-3

export const polygonArea = (polygons: readonly Polygon[]): number =>
  polygons.reduce(
    (sum, [outline, ...holes]) =>
      sum + ringArea(outline ?? []) - holes.reduce((taken, hole) => taken + ringArea(hole), 0),
    0,
  )

type Pairs = [number, number][]
/**
 * Coordinates are put on a grid of a thousandth of a millimetre before they are cut: sides of neighbours that
 * lie on each other up to the last digits of a double are what the library can't finish (1 in 800 of random
 * turned boxes fails without a grid, 1 in 20,000 with one of 0.1 mm). Where that is not enough a coarser one
 * is tried: a millimetre is still far below any tape.
 */
const GRIDS_M = [1e-6, 1e-4, 3e-4, 1e-3] as const
type Closing = (ring: Ring) => Pairs
const closedOn =
  (grid: number): Closing =>
  (ring) =>
    ring.map(([x, y]): [number, number] => [Math.round(x / grid) * grid, Math.round(y / grid) * grid])
const open = (polygons: readonly (readonly Pairs[])[]): readonly Polygon[] =>
  polygons.map((rings) => rings.map((ring) => ring.slice(0, -1).map(([x, y]): Point => [x, y])))
const asPairs = (polygons: readonly Polygon[], closed: Closing): Pairs[][] =>
  polygons.map((rings) => rings.map(closed))

function attempt<T>(work: (closed: Closing) => T): Result<T, CombineError> {
  for (const grid of GRIDS_M) {
    try {
      return ok(work(closedOn(grid)))
    } catch {
      // The library throws where rounding leaves an outline it can't finish; a user's drawing can cause that.
    }
  }
  return err({ kind: 'notCombined' })
}

/** Union of rings, m. */
export const uniteRings = (rings: readonly Ring[]): Result<readonly Polygon[], CombineError> => {
  if (rings.length === 0) return ok([])
  return attempt((closed) => {
    const [first = [], ...rest] = rings.map((ring) => [closed(ring)])
    return open(clipping.union(first, ...rest))
  })
}

/** What two pieces of ground have in common. */
export const intersect = (
  one: readonly Polygon[],
  other: readonly Polygon[],
): Result<readonly Polygon[], CombineError> =>
  one.length === 0 || other.length === 0
    ? ok([])
    : attempt((closed) => open(clipping.intersection(asPairs(one, closed), asPairs(other, closed))))

/** What is left of one piece of ground when another is taken from it. */
export const subtract = (
  one: readonly Polygon[],
  other: readonly Polygon[],
): Result<readonly Polygon[], CombineError> =>
  one.length === 0 || other.length === 0
    ? ok(one)
    : attempt((closed) => open(clipping.difference(asPairs(one, closed), asPairs(other, closed))))

let last: {
  readonly added: readonly Ring[]
  readonly taken: readonly Ring[]
  readonly result: Result<CombinedOutlines, CombineError>
}[] = []
const KEPT = 60
const same = (one: readonly Ring[], other: readonly Ring[]) =>
  one.length === other.length && one.every((ring, i) => ring === other[i])

/**
 * Outlines less exclusions as ground: overlapping exclusions count once, nothing beyond the outline is taken,
 * strays are told. The same rings give the answer worked out before (a pure cache: figures elsewhere on a
 * sheet change far more often than outlines).
 */
export function combineOutlines(
  added: readonly Ring[],
  taken: readonly Ring[],
): Result<CombinedOutlines, CombineError> {
  const before = last.find((one) => same(one.added, added) && same(one.taken, taken))
  if (before) return before.result
  const result = combine(added, taken)
  last = [{ added, taken, result }, ...last.slice(0, KEPT - 1)]
  return result
}

function combine(added: readonly Ring[], taken: readonly Ring[]): Result<CombinedOutlines, CombineError> {
  const [only] = added
  // One outline alone is not cut, and so keeps every digit.
  if (only && added.length === 1 && taken.length === 0)
    return ok({ net: [[only]], added: ringArea(only), taken: 0, strays: [] })
  if (!ringMeetings([...added, ...taken]).ok) return err({ kind: 'tooComplex' })
  const lawn = uniteRings(added)
  if (!lawn.ok) return lawn
  const away = uniteRings(taken)
  if (!away.ok) return away
  const net = subtract(lawn.value, away.value)
  const beyond = subtract(away.value, lawn.value)
  if (!net.ok) return net
  if (!beyond.ok) return beyond
  const strays =
    polygonArea(beyond.value) > NOTHING_M2
      ? taken.flatMap((ring, index) => strayOf(ring, index, lawn.value))
      : []
  const size = polygonArea(lawn.value)
  return ok({ net: net.value, added: size, taken: size - polygonArea(net.value), strays })
}

function strayOf(ring: Ring, index: number, lawn: readonly Polygon[]): readonly Stray[] {
  const pieces = subtract([[ring]], lawn)
  const beyond = pieces.ok ? polygonArea(pieces.value) : 0
  if (!pieces.ok || beyond <= NOTHING_M2) return []
  return [
    {
      index,
      kind: ringArea(ring) - beyond <= NOTHING_M2 ? 'outside' : 'crossing',
      beyond,
      pieces: pieces.value,
    },
  ]
}
