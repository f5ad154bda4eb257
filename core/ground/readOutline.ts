import { PART_FIELDS } from './areaFields'
import { lengthSi } from '../quantity/quantity'
import type { FieldReader } from '../quantity/fieldReader'
import { asEntered, sixDigits } from '../working/figureText'
import { cornerVariance, enclosedArea } from './enclosedArea'
import type { LawnPart } from './areaShape'
import type { GroundPart } from './groundPart'
import { READING_ERROR_M } from './instruments'
import { readPictureScale } from './pictureScale'
import { perimeter, type Ring } from './plane'
import type { ReadInstrument } from './readInstrument'

/**
 * How many independent positions a walk round a lawn holds: one every so many metres, because an error lasts
 * twice some 25 s of walking; yet no fewer than so many, because an error that stays the same all the way
 * round moves a lawn and leaves its size. House defaults, fitted to a thousand simulated walks.
 */
const INDEPENDENT_M = 60
const FEWEST_INDEPENDENT = 8

/** Reads an outline on the plan: crossings refused with their places, uncertainty by how it was made. */
export function readOutline(
  part: LawnPart,
  path: string,
  instrument: ReadInstrument,
  fields: FieldReader,
): GroundPart | undefined {
  const { outline } = part
  if (!outline || outline.points.length < 3) {
    fields.missing(
      `${path}.outline`,
      outline && outline.points.length > 0
        ? 'An outline needs at least three corners.'
        : 'Draw, walk or trace the outline, or bring it from a file.',
    )
    return undefined
  }
  const ring = outline.points
  const enclosed = enclosedArea(ring)
  if (!enclosed.ok) {
    fields.wrong(`${path}.outline`, enclosed.error.message)
    return undefined
  }
  const flat = enclosed.value
  const error = errorOf(part, path, ring, instrument, fields)
  if (!error) return undefined
  return {
    id: part.id,
    sign: part.sign,
    name: `${outline.from} outline`,
    unit: 'm2',
    flat,
    seat: 'plan',
    rings: [ring],
    variance: error.variance,
    ...(error.scale && { scale: error.scale }),
    line: () =>
      `${outline.from} outline of ${ring.length} ` +
      `corners${outline.origin === '' ? '' : ` (${outline.origin})`}, shoelace formula = ` +
      `${sixDigits(flat)} m2; ${error.words}`,
  }
}

interface OutlineError {
  readonly variance: number
  readonly scale?: GroundPart['scale']
  readonly words: string
}

function errorOf(
  part: LawnPart,
  path: string,
  ring: Ring,
  instrument: ReadInstrument,
  fields: FieldReader,
): OutlineError | undefined {
  const at = fields.of(PART_FIELDS, path)
  const outline = part.outline!
  if (outline.from === 'drawn') {
    const sd = READING_ERROR_M.ft
    return { variance: cornerVariance(ring, sd), scale: instrument.scale, words: 'corners 0.1 ft each' }
  }
  if (outline.from === 'traced') {
    const picture = outline.picture && readPictureScale(outline.picture, `${path}.outline.picture`, fields)
    if (!outline.picture)
      fields.missing(
        `${path}.outline`,
        'The picture this was traced from has no scale: set two points and the distance between them.',
      )
    if (!picture || !outline.picture) return undefined
    return {
      variance: cornerVariance(ring, picture.pointError),
      words: `corners ${sixDigits(picture.pointError)} m each`,
      scale: {
        source: `picture:${outline.picture.id}`,
        share: picture.scale,
        words:
          `scale of the picture, ${asEntered(picture.taped)} between its two points, ` +
          `${sixDigits(100 * picture.scale)} %`,
      },
    }
  }
  const pointError = at.needed('outline.pointError', outline.pointError)
  if (!pointError) return undefined
  const round = perimeter(ring)
  const fixes = Math.max(Math.min(ring.length, FEWEST_INDEPENDENT), Math.round(round / INDEPENDENT_M))
  return {
    variance: (lengthSi(pointError) * round) ** 2 / fixes,
    words:
      `point error ${asEntered(pointError)} x perimeter ${sixDigits(round)} m / root of ${fixes} ` +
      `independent positions (one every ${INDEPENDENT_M} m walked, at least ${FEWEST_INDEPENDENT} unless ` +
      'there are fewer corners)',
  }
}
