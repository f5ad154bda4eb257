// From their own files: the whole package would bring what we don't use into every page.
import { ClipType, FillRule, type Path64 } from 'clipper2-ts/dist/Core.js'
import { Clipper64, PolyTree64, type PolyPath64 } from 'clipper2-ts/dist/Engine.js'
import { RectClip64 } from 'clipper2-ts/dist/RectClip.js'
import { ClipperOffset, EndType, JoinType } from 'clipper2-ts/dist/Offset.js'
import { err, ok, type Result } from '../result'
import { boundsOf, signedArea, type Point, type Ring } from './plane'

/** A piece of ground: its outline, then its holes. */
export type Polygon = readonly Ring[]

/** Ground with what lies in it: its holes, and in those further ground. */
export interface Piece {
  readonly outline: Ring
  readonly holes: readonly { readonly ring: Ring; readonly islands: readonly Piece[] }[]
}

/** The outlines can't be cut: rounding left one that is no outline any more. */
export interface NotCut {
  readonly kind: 'notCombined'
}

/**
 * Cutting works on whole numbers: millionths of a metre, far below any tape, and fine enough that an area
 * loses less than a millionth of itself.
 */
const STEPS_A_METRE = 1e6
/** What lies further out than this is no site: whole numbers must stay exact. */
const FARTHEST_M = 1e6

/**
 * Everything that lies on at least one of the rings, m; rings that overlap or touch become one. Fails with
 * `notCombined` where rounding left no outline, or a ring reaches further than a site.
 * @param rings none of which crosses itself
 */
export function unite(rings: readonly Ring[]): Result<readonly Piece[], NotCut> {
  const [only] = rings
  // One alone is not cut, and so keeps every digit.
  if (only && rings.length === 1 && !reachesTooFar([only])) return ok([{ outline: only, holes: [] }])
  return cut(
    ClipType.Union,
    rings.map((ring) => [ring]),
    [],
  )
}

/** Pieces as a list, islands among them. */
export const polygonsOf = (pieces: readonly Piece[]): readonly Polygon[] =>
  pieces.flatMap(({ outline, holes }) => [
    [outline, ...holes.map(({ ring }) => ring)],
    ...holes.flatMap(({ islands }) => polygonsOf(islands)),
  ])

const asPolygons = (cut: Result<readonly Piece[], NotCut>): Result<readonly Polygon[], NotCut> =>
  cut.ok ? ok(polygonsOf(cut.value)) : cut

/** What two pieces of ground have in common. */
export const intersect = (
  one: readonly Polygon[],
  other: readonly Polygon[],
): Result<readonly Polygon[], NotCut> =>
  other.length === 0 ? ok([]) : asPolygons(cut(ClipType.Intersection, one, other))

/** What is left of one piece of ground when another is taken from it. */
export const subtract = (
  one: readonly Polygon[],
  other: readonly Polygon[],
): Result<readonly Polygon[], NotCut> =>
  other.length === 0 ? ok(one) : asPolygons(cut(ClipType.Difference, one, other))

/** What of a ring, m, lies beyond ground: only the ground near it is cut. Fails as `subtract` does. */
export function beyond(ring: Ring, ground: readonly Polygon[]): Result<readonly Polygon[], NotCut> {
  const near = boundsOf(ring)
  if (!near) return ok([])
  if ([[ring], ...ground].some(reachesTooFar)) return err({ kind: 'notCombined' })
  const place = new RectClip64({
    left: Math.floor(near.minX * STEPS_A_METRE) - 1,
    top: Math.floor(near.minY * STEPS_A_METRE) - 1,
    right: Math.ceil(near.maxX * STEPS_A_METRE) + 1,
    bottom: Math.ceil(near.maxY * STEPS_A_METRE) + 1,
  })
  return asPolygons(
    attempted(() => cutPaths(ClipType.Difference, stepsOf([ring]), place.execute(ground.flatMap(stepsOf)))),
  )
}

/** Corners keep their shape up to this many distances; sharper ones are cut off. */
const MITRE = 4

/**
 * Ground with its edge moved inwards, round holes outwards; below zero it grows. What is narrower than twice
 * the distance is gone.
 * @param by m
 */
export function inset(ground: readonly Polygon[], by: number): Result<readonly Polygon[], NotCut> {
  if (ground.length === 0 || by === 0) return ok(ground)
  if (ground.some(reachesTooFar) || !(Math.abs(by) < FARTHEST_M)) return err({ kind: 'notCombined' })
  return attempted(() => {
    const work = new ClipperOffset(MITRE)
    work.addPaths(ground.flatMap(stepsOf), JoinType.Miter, EndType.Polygon)
    const tree = new PolyTree64()
    work.execute(-by * STEPS_A_METRE, tree)
    return ok(polygonsOf(piecesOf(tree)))
  })
}

function cut(
  type: ClipType,
  subject: readonly Polygon[],
  clip: readonly Polygon[],
): Result<readonly Piece[], NotCut> {
  if (subject.length === 0) return ok([])
  if ([...subject, ...clip].some(reachesTooFar)) return err({ kind: 'notCombined' })
  return attempted(() => cutPaths(type, subject.flatMap(stepsOf), clip.flatMap(stepsOf)))
}

function cutPaths(
  type: ClipType,
  subject: readonly Path64[],
  clip: readonly Path64[],
): Result<readonly Piece[], NotCut> {
  const work = new Clipper64()
  work.addSubject([...subject])
  if (clip.length > 0) work.addClip([...clip])
  const tree = new PolyTree64()
  return work.execute(type, FillRule.NonZero, tree) ? ok(piecesOf(tree)) : err({ kind: 'notCombined' })
}

/** The engine throws where it can't finish what rounding left; a user's drawing can cause that. */
function attempted<T>(work: () => Result<T, NotCut>): Result<T, NotCut> {
  try {
    return work()
  } catch {
    return err({ kind: 'notCombined' })
  }
}

const reachesTooFar = (polygon: Polygon): boolean =>
  polygon.some((ring) => ring.some(([x, y]) => !(Math.abs(x) < FARTHEST_M && Math.abs(y) < FARTHEST_M)))

/** Outlines run against the clock and holes with it, so that pieces that overlap count once. */
const stepsOf = (polygon: Polygon): Path64[] =>
  polygon.map((ring, i) => {
    const path = ring.map(([x, y]) => ({
      x: Math.round(x * STEPS_A_METRE),
      y: Math.round(y * STEPS_A_METRE),
    }))
    return signedArea(ring) < 0 === (i === 0) ? path.toReversed() : path
  })

const piecesOf = (parent: PolyPath64): readonly Piece[] =>
  children(parent).map((outline) => ({
    outline: ringOf(outline),
    holes: children(outline).map((hole) => ({ ring: ringOf(hole), islands: piecesOf(hole) })),
  }))

const children = (path: PolyPath64): readonly PolyPath64[] =>
  Array.from({ length: path.count }, (_, i) => path.child(i))

const ringOf = (path: PolyPath64): Ring =>
  (path.poly ?? []).map(({ x, y }): Point => [x / STEPS_A_METRE, y / STEPS_A_METRE])
