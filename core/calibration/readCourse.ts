import { lengthSi, speedSi, type Metres, type MetresPerSecond } from '../quantity/quantity'
import type { FieldReader } from '../quantity/fieldReader'
import type { AmountUnit } from '../quantity/units'
import type { WorkingBook } from '../working/working'
import type { SpreaderCourse, SprayerCourse } from './courseNote'
import { knownAreaRate, type CourseRun } from './knownArea'
import type { Repeats } from '../quantity/repeats'

/** What a course comes to: ground rate of one pass (kg or m3 on each m2), and how it was carried. */
export interface MeasuredCourse {
  readonly measured: Repeats
  readonly width: Metres
  /** Undefined where no speed was timed; then it is never corrected for speed. */
  readonly speed: MetresPerSecond | undefined
}

/**
 * Reads a known-area calibration; undefined until its course and one whole run can be read.
 * @param path where the course stands in its document, for the problems of its fields
 */
export function readCourse(
  course: { readonly kind: 'spread'; readonly note: SpreaderCourse } | { readonly kind: 'spray'; readonly note: SprayerCourse },
  path: string, fields: FieldReader, book: WorkingBook,
): MeasuredCourse | undefined {
  const length = fields.positive(`${path}.length`, course.note.length, 'length', 'Course length')
  const width = fields.positive(`${path}.width`, course.note.width, 'length', course.kind === 'spread' ? 'Swath' : 'Sprayed width')
  const speed = fields.optional(`${path}.speed`, course.note.speed, 'speed', 'Speed', 'above-zero')
  const runs = course.kind === 'spread' ? spreadRuns(course.note, path, fields) : sprayRuns(course.note, path, fields)
  if (!length || !width || !runs) return undefined
  const measured = knownAreaRate(runs, { length, width, passes: 1 }, 'calibration', book)
  if (measured.ok) return { measured: measured.value, width: lengthSi(width), speed: speed && speedSi(speed) }
  fields.wrong(`${path}.runs.${measured.error.run}.left`, 'What is left must be less than what was weighed in.')
  return undefined
}

function spreadRuns({ runs }: SpreaderCourse, path: string, fields: FieldReader): readonly CourseRun<AmountUnit>[] | undefined {
  return whole(runs.map((run, i) => {
    const start = fields.positive(`${path}.runs.${i}.start`, run.start, 'mass', 'Weighed in')
    const left = fields.optional(`${path}.runs.${i}.left`, run.left, 'mass', 'Weighed back', 'zero-too')
    if (run.left.text.trim() === '') fields.missing(`${path}.runs.${i}.left`, 'Weighed back is still missing.')
    return start && left && { start, left }
  }))
}

function sprayRuns({ runs }: SprayerCourse, path: string, fields: FieldReader): readonly CourseRun<AmountUnit>[] | undefined {
  return whole(runs.map((run, i) => {
    const used = fields.positive(`${path}.runs.${i}.used`, run.used, 'volume', 'Water used')
    return used && { used }
  }))
}

function whole<T>(list: readonly (T | undefined)[]): readonly T[] | undefined {
  const found = list.filter((item) => item !== undefined)
  return found.length === list.length && found.length > 0 ? found : undefined
}
