import { plural, sumOf } from '../../quantity/counting'
import { err, ok, type Result } from '../../result'
import type { Position } from '../geodesy'
import { MOST_POINTS, MOST_SHAPES, type FileProblem, type FoundGround, type FoundShape } from './foundGround'

/**
 * What was found in a file, looked over: coordinates that can't be degrees are refused with the likely
 * reason.
 * @param near where the site is, if known: ground on the other side of the world that would be here with
 *   its axes swapped is refused too
 */
export function checkedGround(ground: FoundGround, near?: Position): Result<FoundGround, FileProblem> {
  const { shapes } = ground
  if (shapes.length === 0)
    return err({
      kind: 'noGround',
      message:
        `This ${ground.kind} file holds no outline or ` +
        'track' +
        (ground.skipped > 0 ? `, only ${ground.skipped} single ${plural(ground.skipped, 'place')}` : '') +
        ': ' +
        'export the perimeter as a polygon or a track.',
    })
  if (shapes.length > MOST_SHAPES)
    return err({
      kind: 'tooManyPoints',
      message:
        `This file holds ${shapes.length} outlines; at most ${MOST_SHAPES} are read at a time. Export ` +
        'only those of this site.',
    })
  const rings = shapes.flatMap(({ places, holes }) => [places, ...holes])
  const count = sumOf(rings, ({ length }) => length)
  if (count > MOST_POINTS)
    return err({
      kind: 'tooManyPoints',
      message:
        `This file holds ${count.toLocaleString('en')} points; at most ` +
        `${MOST_POINTS.toLocaleString('en')} are read. Export a shorter track or record at longer steps.`,
    })
  for (const ring of rings) {
    for (const [lon, lat] of ring) {
      if (!Number.isFinite(lon) || !Number.isFinite(lat))
        return err({ kind: 'notRead', message: 'A coordinate in this file is not a number.' })
      if (Math.abs(lat) > 90 && Math.abs(lat) <= 180 && Math.abs(lon) <= 90)
        return err({
          kind: 'swapped',
          message:
            `A latitude of ${lat}° does not exist: latitude and longitude look swapped. ` +
            (ground.kind === 'GeoJSON'
              ? 'GeoJSON wants longitude first.'
              : 'Export it again with its axes in order.'),
        })
      if (Math.abs(lat) > 90 || Math.abs(lon) > 180)
        return err({
          kind: 'notDegrees',
          message:
            `A coordinate of ${lon}, ${lat} can’t be degrees: the file seems to be in metres or feet of ` +
            'a map grid. Export it as longitude and latitude (WGS 84).',
        })
    }
  }
  const [first] = rings[0] ?? []
  if (near && first && apart(first, near) > FAR && apart([first[1], first[0]], near) < NEAR) {
    return err({
      kind: 'swapped',
      message:
        'With latitude and longitude swapped this ground lies on the site; as it is, it lies far away. ' +
        'Export it again with its axes in order.',
    })
  }
  return ok(ground)
}

/** Degrees, roughly: for telling here from the other side of the world. */
const apart = (a: Position, b: Position) => Math.max(Math.abs(a[0] - b[0]), Math.abs(a[1] - b[1]))
const FAR = 1
const NEAR = 0.2

/** A ring as it was in the file, without the repeated last place. */
export function asRing(places: readonly Position[]): Pick<FoundShape, 'kind' | 'places'> {
  const [first, last] = [places[0], places.at(-1)]
  const closed =
    first !== undefined &&
    last !== undefined &&
    places.length > 3 &&
    first[0] === last[0] &&
    first[1] === last[1]
  return { kind: closed ? 'ring' : 'line', places: closed ? places.slice(0, -1) : places }
}
