import { sumOf } from '../quantity/counting'
import { err, ok, type Result } from '../result'
import { beyond, polygonsOf, subtract, unite, type NotCut, type Piece, type Polygon } from './clipping'
import { inside, ringArea, type Bounds, type Ring } from './plane'
import { ringGroups, type Group, type Member } from './ringGroups'
import { sweepRings, TOUCHING_M } from './ringMeetings'

/** An exclusion that does not lie wholly on the lawn. */
interface Stray {
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
  rememberCombined(added, taken, result)
  return result
}

/** Keeps what was worked out for rings, here or on another thread. */
export function rememberCombined(
  added: readonly Ring[],
  taken: readonly Ring[],
  result: Result<CombinedOutlines, CombineError>,
): void {
  last = [{ added, taken, result }, ...last.slice(0, KEPT - 1)]
}

function combine(added: readonly Ring[], taken: readonly Ring[]): Result<CombinedOutlines, CombineError> {
  const [only] = added
  // One outline alone is not cut, and so keeps every digit.
  if (only && added.length === 1 && taken.length === 0)
    return ok({ net: [[only]], added: ringArea(only), taken: 0, strays: [] })
  const swept = sweepRings([...added, ...taken])
  if (!swept.ok) return err({ kind: 'tooComplex' })
  const lawn = uniteGroups(ringGroups(added, swept.value, 0))
  if (!lawn.ok) return lawn
  const away = groupsBesideLawn(ringGroups(taken, swept.value, added.length), lawn.value)
  if (!away.ok) return away
  const { within, across, outside, sideBoxes } = away.value
  const left = subtract(
    lawn.value,
    across.flatMap(({ ground }) => polygonsOf(ground)),
  )
  if (!left.ok) return left
  const net = takenOut(left.value, within)
  const strays = [
    ...outside.flatMap(({ members }) => members.map(strayWhole)),
    ...across.flatMap(({ members }) => members.flatMap((member) => strayOf(member, lawn.value, sideBoxes))),
  ].toSorted((one, other) => one.index - other.index)
  const size = polygonArea(lawn.value)
  return ok({ net, added: size, taken: size - polygonArea(net), strays })
}

/** Union of rings, m: group by group, since groups have nothing to do with each other. */
function uniteGroups(groups: readonly Group[]): Result<readonly Polygon[], NotCut> {
  const united: Polygon[] = []
  for (const { members } of groups) {
    const ground = unite(members.map(({ ring }) => ring))
    if (!ground.ok) return ground
    united.push(...polygonsOf(ground.value))
  }
  return ok(united)
}

const boxesTouch = (one: Bounds, other: Bounds): boolean =>
  one.minX <= other.maxX + TOUCHING_M &&
  other.minX <= one.maxX + TOUCHING_M &&
  one.minY <= other.maxY + TOUCHING_M &&
  other.minY <= one.maxY + TOUCHING_M

interface TakenGroup extends Group {
  readonly ground: readonly Piece[]
}

type Whereabouts = 'within' | 'across' | 'outside'
interface GroupsBesideLawn {
  /** Wholly on the lawn: holes in it, nothing has to be cut. */
  readonly within: readonly TakenGroup[]
  readonly across: readonly TakenGroup[]
  readonly outside: readonly TakenGroup[]
  /** Boxes of the sides of the lawn. */
  readonly sideBoxes: readonly Bounds[]
}

function groupsBesideLawn(
  taken: readonly Group[],
  lawn: readonly Polygon[],
): Result<GroupsBesideLawn, NotCut> {
  const sideBoxes = lawn.flatMap((polygon) => polygon.flatMap(sideBounds))
  const found: Record<Whereabouts, TakenGroup[]> = { within: [], across: [], outside: [] }
  for (const group of taken) {
    const ground = unite(group.members.map(({ ring }) => ring))
    if (!ground.ok) return ground
    found[placeOf(group, lawn, sideBoxes)].push({ ...group, ground: ground.value })
  }
  return ok({ ...found, sideBoxes })
}

function placeOf({ members }: Group, lawn: readonly Polygon[], sideBoxes: readonly Bounds[]): Whereabouts {
  if (members.some((member) => isAtSide(member, sideBoxes))) return 'across'
  return lawn.some((polygon) => lies(members[0]!.ring, polygon)) ? 'within' : 'outside'
}

const isAtSide = ({ bounds }: Member, sideBoxes: readonly Bounds[]): boolean =>
  sideBoxes.some((side) => boxesTouch(side, bounds))

const sideBounds = (ring: Ring): readonly Bounds[] =>
  ring.map(([ax, ay], i) => {
    const [bx, by] = ring[(i + 1) % ring.length]!
    return { minX: Math.min(ax, bx), maxX: Math.max(ax, bx), minY: Math.min(ay, by), maxY: Math.max(ay, by) }
  })

/** Whether a ring that crosses no side of a polygon lies on it. */
const lies = (ring: Ring, [outline, ...holes]: Polygon): boolean =>
  outline !== undefined && inside(ring[0]!, outline) && !holes.some((hole) => inside(ring[0]!, hole))

/**
 * Ground less groups that lie wholly on it: each is a hole, and where it has holes itself the lawn stays. The
 * largest first, so that one within another's hole is taken from the lawn that stays there.
 */
function takenOut(lawn: readonly Polygon[], groups: readonly TakenGroup[]): readonly Polygon[] {
  const kept = lawn.map((polygon) => [...polygon])
  for (const { members, ground } of groups.toSorted((one, other) => sizeOf(other) - sizeOf(one))) {
    const corner = members[0]!.ring[0]!
    kept
      .findLast(([outline]) => outline !== undefined && inside(corner, outline))
      ?.push(...ground.map(({ outline }) => outline))
    kept.push(...ground.flatMap(leftWithin).map((polygon) => [...polygon]))
  }
  return kept
}

const sizeOf = ({ ground }: TakenGroup): number => sumOf(ground, ({ outline }) => ringArea(outline))

/** What stays of the lawn within a piece that is taken from it. */
const leftWithin = ({ holes }: Piece): readonly Polygon[] =>
  holes.flatMap(({ ring, islands }) => [
    [ring, ...islands.map(({ outline }) => outline)],
    ...islands.flatMap(leftWithin),
  ])

const strayWhole = ({ ring, index }: Member): Stray => ({
  index,
  kind: 'outside',
  beyond: ringArea(ring),
  pieces: [[ring]],
})

/** Only what reaches a side of the lawn is cut to see: the rest lies on it or beside it as a whole. */
function strayOf(member: Member, lawn: readonly Polygon[], sideBoxes: readonly Bounds[]): readonly Stray[] {
  const { ring, index } = member
  if (!isAtSide(member, sideBoxes))
    return lawn.some((polygon) => lies(ring, polygon)) ? [] : [strayWhole(member)]
  const pieces = beyond(ring, lawn)
  const over = pieces.ok ? polygonArea(pieces.value) : 0
  if (!pieces.ok || over <= NOTHING_M2) return []
  return [
    {
      index,
      kind: ringArea(ring) - over <= NOTHING_M2 ? 'outside' : 'crossing',
      beyond: over,
      pieces: pieces.value,
    },
  ]
}
