import polylabel from 'polylabel'
import type { GroundPart } from './groundPart'
import {
  boundsOf,
  centroid,
  distance,
  inside,
  nearestOn,
  placed,
  ringArea,
  turned,
  type Bounds,
  type Place,
  type Point,
  type Ring,
} from './plane'

export interface MapArea {
  readonly id: string
  readonly name: string
  readonly parts: readonly GroundPart[]
  /** Where parts known only by their dimensions were put. */
  readonly places: ReadonlyMap<string, Place>
}

/** One piece of a lawn as it lies on the plan, m. */
export interface MapShape {
  readonly lawnId: string
  readonly partId: string
  readonly sign: GroundPart['sign']
  readonly rings: readonly Ring[]
  /** Its place where only its dimensions are known; undefined for an outline, which lies where it is. */
  readonly place: Place | undefined
}

interface MapLabel {
  readonly lawnId: string
  readonly name: string
  readonly at: Point
}

export interface SiteLayout {
  readonly shapes: readonly MapShape[]
  readonly labels: readonly MapLabel[]
  readonly bounds: Bounds | undefined
}

/** Between pieces that are laid in a row, as a share of the tallest. */
const GAP = 0.12

/**
 * Puts all ground of a site on one plan, to one scale: outlines where they are, pieces known by their
 * dimensions where somebody put them, the rest in a row to the right. What is taken away and has no place is
 * shown on the piece added before it.
 */
export function siteLayout(lawns: readonly MapArea[]): SiteLayout {
  const shapes = lawns.flatMap((lawn) => lawn.parts.flatMap((part) => settled(lawn, part)))
  const loose = lawns.flatMap((lawn) =>
    lawn.parts
      .filter((part) => part.seat === 'schematic' && part.sign === 'add' && !lawn.places.has(part.id))
      .map((part) => ({ lawn, part })),
  )
  const boxes = loose.map(({ part }) => boxOf(part.rings))
  const tallest = Math.max(0, ...boxes.map(({ minY, maxY }) => maxY - minY))
  const taken = boundsOf(pointsOf(shapes))
  let right = taken ? taken.maxX + Math.max(2, tallest * GAP) : 0
  const middle = taken ? (taken.minY + taken.maxY) / 2 : 0
  loose.forEach(({ lawn, part }, i) => {
    const box = boxes[i]!
    const place: Place = { x: right - box.minX, y: middle - (box.minY + box.maxY) / 2, turn: 0 }
    shapes.push({
      lawnId: lawn.id,
      partId: part.id,
      sign: 'add',
      rings: part.rings.map((ring) => placed(ring, place)),
      place,
    })
    right += box.maxX - box.minX + tallest * GAP
  })
  for (const lawn of lawns) shapes.push(...homeless(lawn, shapes))
  return {
    shapes: byPaint(shapes),
    labels: lawns.flatMap((lawn) => labelOf(lawn, shapes)),
    bounds: boundsOf(pointsOf(shapes)),
  }
}

/**
 * Large lawns first, each with what is taken from it on top: a green lies in the hole that its surrounds
 * leave.
 */
function byPaint(shapes: readonly MapShape[]): readonly MapShape[] {
  const lawns = [...new Set(shapes.map(({ lawnId }) => lawnId))].map((id) =>
    shapes.filter(({ lawnId }) => lawnId === id),
  )
  const sizeOf = (own: readonly MapShape[]) =>
    own
      .filter(({ sign }) => sign === 'add')
      .flatMap(({ rings }) => rings)
      .reduce((sum, ring) => sum + ringArea(ring), 0)
  return lawns
    .toSorted((one, other) => sizeOf(other) - sizeOf(one))
    .flatMap((own) => [
      ...own.filter(({ sign }) => sign === 'add'),
      ...own.filter(({ sign }) => sign === 'subtract'),
    ])
}

function* pointsOf(shapes: readonly MapShape[]): Generator<Point> {
  for (const { rings } of shapes) for (const ring of rings) yield* ring
}

const boxOf = (rings: readonly Ring[]): Bounds =>
  boundsOf(rings.flat()) ?? { minX: 0, minY: 0, maxX: 0, maxY: 0 }

function settled({ id, places }: MapArea, part: GroundPart): MapShape[] {
  const head = { lawnId: id, partId: part.id, sign: part.sign }
  if (part.seat === 'plan') return [{ ...head, rings: part.rings, place: undefined }]
  const place = places.get(part.id)
  return place ? [{ ...head, rings: part.rings.map((ring) => placed(ring, place)), place }] : []
}

function homeless(lawn: MapArea, shapes: readonly MapShape[]): MapShape[] {
  const waiting = lawn.parts.filter(
    (part) => part.seat === 'schematic' && part.sign === 'subtract' && !lawn.places.has(part.id),
  )
  return waiting.map((part, i) => {
    const before = lawn.parts.slice(0, lawn.parts.indexOf(part)).findLast(({ sign }) => sign === 'add')
    const home = boxOf(
      shapes.find(({ partId }) => partId === before?.id)?.rings ??
        shapes.find(({ lawnId }) => lawnId === lawn.id)?.rings ??
        [],
    )
    const own = boxOf(part.rings)
    const share = (i + 1) / (waiting.length + 1)
    const place: Place = {
      x: home.minX + (home.maxX - home.minX) * share - (own.minX + own.maxX) / 2,
      y: (home.minY + home.maxY) / 2 - (own.minY + own.maxY) / 2,
      turn: 0,
    }
    return {
      lawnId: lawn.id,
      partId: part.id,
      sign: 'subtract',
      rings: part.rings.map((ring) => placed(ring, place)),
      place,
    }
  })
}

function labelOf({ id, name }: MapArea, shapes: readonly MapShape[]): MapLabel[] {
  const rings = shapes
    .filter(({ lawnId, sign }) => lawnId === id && sign === 'add')
    .flatMap((shape) => shape.rings)
  const [largest] = rings.toSorted((one, other) => ringArea(other) - ringArea(one))
  const taken = shapes
    .filter(({ lawnId, sign }) => lawnId === id && sign === 'subtract')
    .flatMap((shape) => shape.rings)
  return largest ? [{ lawnId: id, name, at: labelPlace(largest, taken) }] : []
}

/** How finely the roomiest place is looked for, as a share of the outline's square root. */
const FINE = 0.02

/** A cut-out nearer than this share of the outline's square root would stand in the words. */
const ROOM = 0.15

/** In the middle, or where a cut-out or the outline leaves no room there, where there is most of it. */
function labelPlace(outline: Ring, taken: readonly Ring[]): Point {
  const middle = centroid(outline)
  const room = ROOM * Math.sqrt(ringArea(outline))
  const isOnLawn = inside(middle, outline) && !taken.some((ring) => inside(middle, ring))
  if (isOnLawn && taken.every((ring) => isClearOf(ring, middle, room))) return middle
  const rings = [outline, ...taken.filter((ring) => ring.some((corner) => inside(corner, outline)))]
  const roomiest = polylabel(
    rings.map((ring) => ring.map(([east, north]) => [east, north])),
    FINE * Math.sqrt(ringArea(outline)),
  )
  // Where a narrow lawn has room for words nowhere, they stand in its middle as well as elsewhere.
  return isOnLawn && roomiest.distance < room ? middle : [roomiest[0], roomiest[1]]
}

const isClearOf = (ring: Ring, point: Point, room: number): boolean =>
  ring.every((corner, i) => distance(point, nearestOn(point, corner, ring[(i + 1) % ring.length]!)) >= room)

/** Places of a lawn's parts as their field notes have them. */
export const placesOf = (
  parts: readonly { readonly id: string; readonly place?: Place }[],
): ReadonlyMap<string, Place> =>
  new Map(parts.flatMap(({ id, place }) => (place ? [[id, place] as const] : [])))

/**
 * The ground of one area moved and turned as a whole about its middle: only what is known by its dimensions
 * moves.
 * @param turn degrees clockwise
 */
export function arranged(
  shapes: readonly MapShape[],
  { dx, dy, turn }: { readonly dx: number; readonly dy: number; readonly turn: number },
): ReadonlyMap<string, Place> {
  const box = boundsOf(shapes.flatMap(({ rings }) => rings.flat()))
  if (!box) return new Map()
  const middle: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]
  const millimetre = (value: number) => Math.round(value * 1000) / 1000
  return new Map(
    shapes.flatMap(({ partId, place }) => {
      if (!place) return []
      const [x, y] = turned([place.x, place.y], middle, turn)
      return [
        [
          partId,
          { x: millimetre(x + dx), y: millimetre(y + dy), turn: (((place.turn + turn) % 360) + 360) % 360 },
        ] as const,
      ]
    }),
  )
}

/** Where everything known only by its dimensions is drawn now, by area and part: kept, nothing jumps. */
export const placesNow = (shapes: readonly MapShape[]): ReadonlyMap<string, ReadonlyMap<string, Place>> =>
  new Map(
    [...new Set(shapes.map(({ lawnId }) => lawnId))].map((id) => [
      id,
      new Map(
        shapes.flatMap(({ lawnId, partId, place }) =>
          lawnId === id && place ? [[partId, place] as const] : [],
        ),
      ),
    ]),
  )
