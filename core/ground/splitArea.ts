import { err, ok, type Result } from '../result'
import type { AreaDocument, LawnPart, MeasuredWith } from './areaShape'
import { intersect, subtract, type Polygon } from './clipping'
import { ringToMillimetre } from './editOutline'
import { boundsOf, distance, ringArea, type Point, type Ring } from './plane'
import type { MapShape } from './siteLayout'

/** `notAcross`: the line does not cut the area into two. `notCombined`: its outlines can't be cut. */
export type SplitError = { readonly kind: 'notAcross' | 'notCombined' }

/** A piece of the plan with the part it came from. */
export interface CutPart {
  readonly part: LawnPart
  readonly shape: MapShape
}

/**
 * Cuts an area along a straight line, as it lies on the plan. Pieces known only by their dimensions become
 * outlines drawn to scale, measured with what they were measured with; the notes they came from stay in the
 * history of the area's size.
 * @param id gives a new part's id
 * @returns the parts left and right of the line, seen from its start
 */
export function splitArea(
  parts: readonly CutPart[],
  line: readonly [Point, Point],
  id: () => string,
): Result<readonly [readonly LawnPart[], readonly LawnPart[]], SplitError> {
  const box = boundsOf(parts.flatMap(({ shape }) => shape.rings.flat()))
  if (!box || distance(...line) === 0) return err({ kind: 'notAcross' })
  const left: Polygon = [
    halfPlane(
      line,
      2 * Math.hypot(box.maxX - box.minX, box.maxY - box.minY) +
        distance(...line) +
        Math.hypot(line[0][0] - box.minX, line[0][1] - box.minY),
    ),
  ]
  const [kept, cut]: [LawnPart[], LawnPart[]] = [[], []]
  for (const { part, shape } of parts) {
    const ground = shape.rings.map((ring): Polygon => [ring])
    const [one, other] = [intersect(ground, [left]), subtract(ground, [left])]
    if (!one.ok || !other.ok) return err({ kind: 'notCombined' })
    kept.push(...asOutlines(part, one.value, part.id, id))
    cut.push(...asOutlines(part, other.value, undefined, id))
  }
  const lawn = (side: readonly LawnPart[]) => side.some(({ sign }) => sign === 'add')
  return lawn(kept) && lawn(cut) ? ok([kept, cut]) : err({ kind: 'notAcross' })
}

/** All ground to the left of a line, as far as anything reaches. */
function halfPlane([a, b]: readonly [Point, Point], reach: number): Ring {
  const length = distance(a, b)
  const [ux, uy] = [((b[0] - a[0]) / length) * reach, ((b[1] - a[1]) / length) * reach]
  const [start, end]: [Point, Point] = [
    [a[0] - ux, a[1] - uy],
    [a[0] + ux, a[1] + uy],
  ]
  return [start, end, [end[0] - uy, end[1] + ux], [start[0] - uy, start[1] + ux]]
}

/** Less than this is what rounding leaves along a cut, not ground. */
const SLIVER_M2 = 0.05

/** A part's pieces as outlines; holes that cutting made are taken away again. */
function asOutlines(
  part: LawnPart,
  pieces: readonly Polygon[],
  firstId: string | undefined,
  id: () => string,
): readonly LawnPart[] {
  const { lengths: _, list: __, angle: ___, rule: ____, place: _____, outline, ...head } = part
  const from = outline?.from ?? 'drawn'
  const origin = outline?.origin ?? `cut from a ${part.shape}`
  const base = { ...head, shape: 'outline' as const, lengths: {} }
  return pieces
    .filter(([outer]) => ringArea(outer ?? []) > SLIVER_M2)
    .flatMap(([outer, ...holes], i): LawnPart[] =>
      outer
        ? [
            {
              ...base,
              id: (i === 0 ? firstId : undefined) ?? id(),
              outline: {
                pointError: { text: '3', unit: 'm' },
                ...outline,
                from,
                origin,
                points: ringToMillimetre(outer),
              },
            },
            ...holes
              .filter((hole) => ringArea(hole) > SLIVER_M2)
              .map((hole): LawnPart => ({
                ...base,
                id: id(),
                sign: part.sign === 'add' ? 'subtract' : 'add',
                outline: {
                  pointError: { text: '3', unit: 'm' },
                  ...outline,
                  from,
                  origin,
                  points: ringToMillimetre(hole),
                },
              })),
          ]
        : [],
    )
}

/**
 * Two areas as one: the pieces of both with the notes they were measured by; what grows there is told by the
 * first. Pieces of the second keep their own instrument where it was another one.
 */
export function mergedArea(first: AreaDocument, second: AreaDocument): AreaDocument {
  const own: MeasuredWith = { instrument: second.instrument, ...(second.tool && { tool: second.tool }) }
  const same =
    second.instrument === first.instrument &&
    second.tool?.id === first.tool?.id &&
    second.tool?.version === first.tool?.version
  const moved = second.parts.map((part): LawnPart => (same || part.with ? part : { ...part, with: own }))
  // Lawn first: an exclusion is shown on, and explained by, the piece before it.
  return { ...first, parts: [...first.parts, ...moved] }
}
