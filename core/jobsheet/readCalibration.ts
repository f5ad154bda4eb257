import { atAnotherSpeed, type AtSpeed } from '../calibration/anotherSpeed'
import type { MeasuredCourse } from '../calibration/measuredCourse'
import { readCourse, type Course } from '../calibration/readCourse'
import { speedSi, type MetresPerSecond } from '../quantity/quantity'
import type { FieldReader } from '../quantity/fieldReader'
import type { WorkingBook } from '../working/working'
import type { ApplicationDocument } from './document'

/**
 * What the calibration in the document comes to: ground rate of one pass, at its own speed and at today's.
 */
export interface SheetCalibration extends MeasuredCourse {
  /** Kg (spreader) or m3 (sprayer) on each m2 in one pass at today's speed. */
  readonly perPass: number
  readonly trust: AtSpeed['trust']
  readonly speedToday: MetresPerSecond | undefined
  readonly on: string
}

/** The calibration of the document's method. */
export const courseIn = ({
  method,
  spread,
  spray,
}: Pick<ApplicationDocument, 'method' | 'spread' | 'spray'>): Course =>
  method === 'spread'
    ? { kind: 'spread', note: spread.calibration }
    : { kind: 'spray', note: spray.calibration }

/**
 * Reads the calibration of the document's method; undefined until its course and one whole run can be read.
 */
export function readCalibration(
  document: ApplicationDocument,
  fields: FieldReader,
  book: WorkingBook,
): SheetCalibration | undefined {
  const { method } = document
  const { on } = document[method].calibration
  const typedToday = fields.optional(
    `${method}.speedToday`,
    document[method].speedToday,
    'speed',
    'Speed today',
    'above-zero',
  )
  const course = readCourse(courseIn(document), `${method}.calibration`, fields, book)
  if (!course) return undefined
  const { measured, speed } = course
  const speedToday = typedToday ? speedSi(typedToday) : speed
  const today: AtSpeed =
    speed && speedToday
      ? atAnotherSpeed(measured.mean, speed, speedToday)
      : { perArea: measured.mean, trust: 'trusted' }
  return { ...course, perPass: today.perArea, trust: today.trust, speedToday, on }
}
