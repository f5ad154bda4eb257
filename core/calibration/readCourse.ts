import type { FieldReader } from '../quantity/fieldReader'
import type { WorkingBook } from '../working/working'
import type { SpreaderCourse, SprayerCourse } from './calibrationShape'
import type { MeasuredCourse } from './measuredCourse'
import { readSpread } from './readSpread'
import { readSpray } from './readSpray'

export type Course =
  | { readonly kind: 'spread'; readonly note: SpreaderCourse }
  | { readonly kind: 'spray'; readonly note: SprayerCourse }

/**
 * Reads a calibration by whichever method it was made; undefined until its figures and one whole run can be
 * read.
 * @param path where the course stands in its document, for the problems of its fields
 */
export const readCourse = (
  course: Course,
  path: string,
  fields: FieldReader,
  book: WorkingBook,
): MeasuredCourse | undefined =>
  course.kind === 'spread'
    ? readSpread(course.note, path, fields, book)
    : readSpray(course.note, path, fields, book)
