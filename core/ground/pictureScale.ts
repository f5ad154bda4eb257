import { PICTURE_FIELDS } from './areaFields'
import type { Entered } from '../quantity/entered'
import type { FieldReader } from '../quantity/fieldReader'
import { lengthSi, type Quantity } from '../quantity/quantity'
import type { LengthUnit } from '../quantity/units'
import { READING_ERROR_M, SCALE_ERROR } from './instruments'
import { turned, type Place, type Point } from './plane'

/** Two pixels of a picture and the taped distance between what they show. */
export interface PictureScale {
  /** Pixels from the top left corner. */
  readonly from: readonly [x: number, y: number]
  readonly to: readonly [x: number, y: number]
  readonly distance: Entered<LengthUnit>
}

/** One standard deviation of pointing at a place in a picture, pixels (house default). */
const PICKING_ERROR_PX = 2

export interface ReadPicture {
  readonly taped: Quantity<LengthUnit>
  readonly metresPerPixel: number
  /** One standard deviation of the scale, as a share: the tape, reading it, and pointing at both ends. */
  readonly scale: number
  /** One standard deviation of a traced corner along each axis, m. */
  readonly pointError: number
}

/**
 * Scale of a picture.
 * @returns undefined while the distance is missing or the two points are one; the reader says which. Source:
 * similar triangles; errors are independent.
 */
export function readPictureScale(
  { from, to, distance }: PictureScale,
  path: string,
  fields: FieldReader,
): ReadPicture | undefined {
  const at = fields.of(PICTURE_FIELDS, path)
  const taped = at.needed('distance', distance)
  const pixels = Math.hypot(to[0] - from[0], to[1] - from[1])
  if (!taped) return undefined
  if (pixels < 10) {
    fields.wrong(
      `${path}.distance`,
      'The two points lie on each other: set them as far apart as the picture allows.',
    )
    return undefined
  }
  const metres = lengthSi(taped)
  const metresPerPixel = metres / pixels
  return {
    taped,
    metresPerPixel,
    scale: Math.hypot(
      SCALE_ERROR.tape,
      READING_ERROR_M[taped.unit] / metres,
      (Math.SQRT2 * PICKING_ERROR_PX) / pixels,
    ),
    pointError: PICKING_ERROR_PX * metresPerPixel,
  }
}

/**
 * Pixel of a picture under a point of the plan.
 * @param at where its top left corner lies and how it is turned
 */
export function pixelAt(point: Point, at: Place, metresPerPixel: number): readonly [number, number] {
  const [x, y] = turned([point[0] - at.x, point[1] - at.y], [0, 0], -at.turn)
  return [x / metresPerPixel, -y / metresPerPixel]
}

/** How wide a picture is shown before it has a scale, m. */
export const UNSCALED_M = 100
