import type { FieldReader } from '../quantity/fieldReader'
import type { WorkingBook } from '../working/working'
import type { CalibrationDocument } from './calibrationShape'
import type { MeasuredCourse } from './measuredCourse'
import { readCourse } from './readCourse'

/** What a calibration comes to; a day is needed, for without it nobody knows how far to trust it. */
export function readCalibrationDocument(
  document: CalibrationDocument,
  fields: FieldReader,
  book: WorkingBook,
): MeasuredCourse | undefined {
  if (document.course.on === '') fields.lacks('document.course.on', 'The day')
  return readCourse(
    document.kind === 'spread'
      ? { kind: 'spread', note: document.course }
      : { kind: 'spray', note: document.course },
    'document.course',
    fields,
    book,
  )
}
