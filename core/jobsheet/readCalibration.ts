import { atAnotherSpeed, type AtSpeed } from '../calibration/anotherSpeed'
import { knownAreaRate, type CourseRun } from '../calibration/knownArea'
import type { Repeats } from '../calibration/repeats'
import { lengthSi, speedSi, type Metres, type MetresPerSecond, type Quantity } from '../quantity/quantity'
import type { AmountUnit, LengthUnit, SpeedUnit } from '../quantity/units'
import type { WorkingBook } from '../working/working'
import type { ApplicationDocument } from './document'
import type { FieldReader } from './fieldReader'

/** What the calibration in the document comes to: ground rate of one pass, at its own speed and at today's. */
export interface SheetCalibration {
  readonly measured: Repeats
  /** Kg (spreader) or m3 (sprayer) on each m2 in one pass at today's speed. */
  readonly perPass: number
  readonly trust: AtSpeed['trust']
  readonly width: Metres
  /** Undefined where no speed was timed; then it is never corrected for speed. */
  readonly speed: MetresPerSecond | undefined
  readonly speedToday: MetresPerSecond | undefined
  readonly on: string
}

interface CourseFields {
  readonly length: Quantity<LengthUnit>
  readonly width: Quantity<LengthUnit>
  readonly speed: Quantity<SpeedUnit> | undefined
  readonly speedToday: Quantity<SpeedUnit> | undefined
}

/** Reads the calibration of the document's method; undefined until its course and one whole run can be read. */
export function readCalibration(document: ApplicationDocument, fields: FieldReader, book: WorkingBook): SheetCalibration | undefined {
  const { method } = document
  const path = `${method}.calibration`
  const note = document[method].calibration
  const length = fields.positive(`${path}.length`, note.length, 'length', 'Course length')
  const width = fields.positive(`${path}.width`, note.width, 'length', method === 'spread' ? 'Swath' : 'Sprayed width')
  const speed = fields.optional(`${path}.speed`, note.speed, 'speed', 'Speed', 'above-zero')
  const speedToday = fields.optional(`${method}.speedToday`, document[method].speedToday, 'speed', 'Speed today', 'above-zero')
  const runs = method === 'spread' ? spreadRuns(document, fields) : sprayRuns(document, fields)
  if (!length || !width || !runs) return undefined
  return calibrationOf(runs, { length, width, speed, speedToday }, note.on, path, fields, book)
}

function calibrationOf(
  runs: readonly CourseRun<AmountUnit>[], course: CourseFields, on: string, path: string, fields: FieldReader, book: WorkingBook,
): SheetCalibration | undefined {
  const measured = knownAreaRate(runs, { ...course, passes: 1 }, 'calibration', book)
  if (!measured.ok) {
    fields.wrong(`${path}.runs.${measured.error.run}.left`, 'What is left must be less than what was weighed in.')
    return undefined
  }
  const speed = course.speed && speedSi(course.speed)
  const speedToday = course.speedToday ? speedSi(course.speedToday) : speed
  const today: AtSpeed = speed && speedToday ? atAnotherSpeed(measured.value.mean, speed, speedToday) : { perArea: measured.value.mean, trust: 'trusted' }
  return { measured: measured.value, perPass: today.perArea, trust: today.trust, width: lengthSi(course.width), speed, speedToday, on }
}

function spreadRuns({ spread }: ApplicationDocument, fields: FieldReader): readonly CourseRun<AmountUnit>[] | undefined {
  const read = spread.calibration.runs.map((run, i) => {
    const path = `spread.calibration.runs.${i}`
    const start = fields.positive(`${path}.start`, run.start, 'mass', 'Weighed in')
    const left = fields.optional(`${path}.left`, run.left, 'mass', 'Weighed back', 'zero-too')
    if (run.left.text.trim() === '') fields.missing(`${path}.left`, 'Weighed back is still missing.')
    return start && left && { start, left }
  })
  return whole(read)
}

function sprayRuns({ spray }: ApplicationDocument, fields: FieldReader): readonly CourseRun<AmountUnit>[] | undefined {
  return whole(spray.calibration.runs.map((run, i) => {
    const used = fields.positive(`spray.calibration.runs.${i}.used`, run.used, 'volume', 'Water used')
    return used && { used }
  }))
}

function whole<T>(list: readonly (T | undefined)[]): readonly T[] | undefined {
  const found = list.filter((item) => item !== undefined)
  return found.length === list.length && found.length > 0 ? found : undefined
}
