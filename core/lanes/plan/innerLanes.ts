import type { Polygon } from '../../ground/clipping'
import type { Point } from '../../ground/plane'
import { heading, ringsAlong } from './heading'
import { fieldOf, lineSpans, stripSpans, type Field, type Span } from './strips'

/** A straight lane from one end to the other. */
export type Straight = readonly [Point, Point]

/** Ground narrower than this has no lane of its own, m. */
const LEAST_BREADTH = 0.01
/** A lane shorter than this share of a width is no lane. */
const LEAST_LENGTH = 0.02

/**
 * Parallel lanes over one piece of ground, in walking order: as many as its breadth asks for, spread evenly
 * to its edges, to and fro, split where the ground is; one stretch after the other, always on to the nearest.
 * @param direction degrees clockwise from north @param width between lanes at most, m
 * @param ends `on`: a lane runs on until nothing of its strip is left, into a header lane; `edge`: it ends
 *   where its middle leaves the ground
 * @param begin where whoever walks stands
 */
export function innerLanes(
  polygon: Polygon,
  direction: number,
  width: number,
  ends: 'on' | 'edge',
  begin: Point,
): readonly Straight[] {
  const way = heading(direction)
  const field = fieldOf(ringsAlong(polygon, way))
  const strips = stripsOf(field, width, ends)
  return inWalkingOrder(
    cellsOf(strips).map((cell) =>
      cell.map(({ span: [from, to], middle }): Straight => [way.back(from, middle), way.back(to, middle)]),
    ),
    begin,
  )
}

/** How long the lanes of a direction are, and how many: quicker than laying them. */
export function laneCount(
  rings: Polygon,
  direction: number,
  width: number,
): { readonly lanes: number; readonly length: number } {
  const along = ringsAlong(rings, heading(direction))
  let [left, right] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY]
  for (const ring of along)
    for (const [, corner] of ring) {
      if (corner < left) left = corner
      if (corner > right) right = corner
    }
  const { count, step } = spread({ left, right }, width)
  const crossed: number[][] = Array.from({ length: count }, () => [])
  for (const ring of along)
    for (let i = 0; i < ring.length; i++) {
      const [a, r] = ring[i]!
      const [b, s] = ring[(i + 1) % ring.length]!
      const [low, high] = r < s ? [r, s] : [s, r]
      const slope = (b - a) / (s - r)
      for (let line = Math.ceil((low - left) / step - 0.5); line < count; line++) {
        const at = left + (line + 0.5) * step
        if (at >= high) break
        crossed[line]?.push(a + (at - r) * slope)
      }
    }
  let [lanes, length] = [0, 0]
  for (const places of crossed) {
    places.sort((a, b) => a - b)
    for (let i = 0; i + 1 < places.length; i += 2) {
      lanes += 1
      length += places[i + 1]! - places[i]!
    }
  }
  return { lanes, length }
}

function spread(
  { left, right }: Pick<Field, 'left' | 'right'>,
  width: number,
): { readonly count: number; readonly step: number } {
  const breadth = right - left
  if (breadth < LEAST_BREADTH) return { count: 0, step: width }
  // A breadth of exactly three widths is three lanes, whatever its last digit.
  const count = Math.max(1, Math.ceil(breadth / width - 1e-6))
  return { count, step: breadth / count }
}

interface Piece {
  readonly span: Span
  readonly middle: number
}

function stripsOf(field: Field, width: number, ends: 'on' | 'edge'): readonly (readonly Piece[])[] {
  const { count, step } = spread(field, width)
  return Array.from({ length: count }, (_, i) => {
    const from = field.left + i * step
    const middle = from + step / 2
    const spans = ends === 'on' ? stripSpans(field, from, from + step) : lineSpans(field, middle)
    return spans.filter(([a, b]) => b - a > LEAST_LENGTH * width).map((span): Piece => ({ span, middle }))
  })
}

const overlap = ([a, b]: Span, [c, d]: Span): boolean => a < d && c < b

/** Stretches that are walked to and fro without going round anything. */
function cellsOf(strips: readonly (readonly Piece[])[]): readonly (readonly Piece[])[] {
  const cells: Piece[][] = []
  let open = new Map<Piece, Piece[]>()
  let before: readonly Piece[] = []
  for (const strip of strips) {
    const next = new Map<Piece, Piece[]>()
    for (const piece of strip) {
      const neighbours = before.filter(({ span }) => overlap(span, piece.span))
      const [only] = neighbours
      const alone =
        neighbours.length === 1 && only && strip.filter(({ span }) => overlap(span, only.span)).length === 1
      const cell = (alone && open.get(only)) || []
      if (cell.length === 0) cells.push(cell)
      cell.push(piece)
      next.set(piece, cell)
    }
    open = next
    before = strip
  }
  return cells
}

/** One of the four corners a stretch can be entered at: from its first lane or its last, at either end. */
interface Way {
  readonly cell: readonly Straight[]
  readonly from: 'first' | 'last'
  readonly end: 0 | 1
}
const WAYS = [
  { from: 'first', end: 0 },
  { from: 'first', end: 1 },
  { from: 'last', end: 0 },
  { from: 'last', end: 1 },
] as const

/** Each stretch to and fro, entered at the corner that is nearest to where the one before was left. */
function inWalkingOrder(cells: readonly (readonly Straight[])[], begin: Point): readonly Straight[] {
  const left = new Set(cells)
  const walked: Straight[] = []
  let at = begin
  while (left.size > 0) {
    let best: Way | undefined
    let least = Number.POSITIVE_INFINITY
    for (const cell of left)
      for (const { from, end } of WAYS) {
        const lane = from === 'first' ? cell[0]! : cell.at(-1)!
        const [x, y] = lane[end]
        // The square will do: thousands are asked.
        const far = (x - at[0]) * (x - at[0]) + (y - at[1]) * (y - at[1])
        if (far >= least - 1e-9) continue
        least = far
        best = { cell, from, end }
      }
    if (!best) break
    left.delete(best.cell)
    walked.push(...along(best))
    at = walked.at(-1)?.[1] ?? at
  }
  return walked
}

function along({ cell, from, end }: Way): readonly Straight[] {
  const lanes = from === 'first' ? cell : cell.toReversed()
  return lanes.map(([a, b], i): Straight => ((i + end) % 2 === 0 ? [a, b] : [b, a]))
}
