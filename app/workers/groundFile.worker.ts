import * as Comlink from 'comlink'
import { anchorFor, ringToPlan, type Anchor, type Position } from '#core/ground/geodesy'
import { distance, perimeter, ringArea, type Ring } from '#core/ground/plane'
import { withoutSmallLoops } from '#core/ground/cutLoops'
import { simplify, withoutRepeats } from '#core/ground/simplify'
import { crossings } from '#core/ground/crossings'
import { ringToMillimetre } from '#core/ground/editOutline'
import { MOST_CORNERS } from '#core/ground/areaShape'
import type { FileKind, FoundShape } from '#core/ground/files/foundGround'
import { readGroundText } from '#core/ground/files/readGroundText'

/** One outline of a file, as the list of them tells it. */
export interface FoundOutline {
  readonly name: string
  readonly kind: FoundShape['kind']
  readonly corners: number
  readonly holes: number
  readonly areaM2: number
  /** Straight way that closes a line, m; 0 for a ring. */
  readonly gap: number
}
export type OpenedFile =
  | {
      readonly ok: true
      readonly kind: FileKind
      readonly skipped: number
      readonly anchor: Anchor
      readonly outlines: readonly FoundOutline[]
    }
  | { readonly ok: false; readonly message: string }

/** An outline as it would be kept, with what simplifying changed. */
export interface PreparedOutline {
  /** Thinned for looking at where there are more corners than are kept. */
  readonly points: Ring
  readonly corners: number
  readonly holes: readonly Ring[]
  readonly cornersBefore: number
  readonly areaBefore: number
  readonly area: number
  readonly crossed: boolean
}

let shapes: readonly FoundShape[] = []

/**
 * Reading, projecting and simplifying a file away from the page: a track of two hundred thousand points never
 * reaches it.
 */
const work = {
  async open(source: File, near: Position | undefined, anchor: Anchor | undefined): Promise<OpenedFile> {
    const found = readGroundText(await source.text(), source.size, near)
    if (!found.ok) return { ok: false, message: found.error.message }
    shapes = found.value.shapes
    const used = anchor ?? anchorFor(shapes.flatMap(({ places }) => places))
    if (!used) return { ok: false, message: 'This file holds no outline or track.' }
    return {
      ok: true,
      kind: found.value.kind,
      skipped: found.value.skipped,
      anchor: used,
      outlines: shapes.map(({ name, kind, places, holes }) => {
        const ring = ringToPlan(places, used)
        return {
          name,
          kind,
          corners: places.length,
          holes: holes.length,
          areaM2: ringArea(ring),
          gap: kind === 'line' ? distance(ring[0]!, ring.at(-1)!) : 0,
        }
      }),
    }
  },
  prepare(index: number, tolerance: number, anchor: Anchor): PreparedOutline | undefined {
    const shape = shapes[index]
    if (!shape) return undefined
    const whole = withoutRepeats(ringToPlan(shape.places, anchor))
    const simple = simplify(whole, tolerance)
    const points = ringToMillimetre(tolerance > 0 ? withoutSmallLoops(simple).ring : simple)
    const every = Math.ceil(points.length / MOST_CORNERS)
    return {
      points: every > 1 ? points.filter((_, i) => i % every === 0) : points,
      corners: points.length,
      holes: shape.holes.map((hole) =>
        ringToMillimetre(simplify(withoutRepeats(ringToPlan(hole, anchor)), tolerance)),
      ),
      cornersBefore: whole.length,
      areaBefore: ringArea(whole),
      area: ringArea(points),
      crossed: perimeter(points) > 0 && crossings(points).length > 0,
    }
  },
}

export type GroundFileWork = typeof work
Comlink.expose(work)
