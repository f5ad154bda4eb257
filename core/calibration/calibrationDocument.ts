import type { FieldReader } from '../quantity/fieldReader'
import type { WorkingBook } from '../working/working'
import type { SpreaderCourse, SprayerCourse } from './courseNote'
import type { MeasuredCourse } from './measuredCourse'
import { readCourse } from './readCourse'

interface Remarks {
  readonly schema: 1
  /** What held the speed: gear, throttle, pedal stop, pump level. */
  readonly heldBy: string
  readonly by: string
  readonly notes: string
}

/** A calibration of one piece of equipment, by known area. */
export type CalibrationDocument =
  | (Remarks & { readonly kind: 'spread'; readonly course: SpreaderCourse })
  | (Remarks & { readonly kind: 'spray'; readonly course: SprayerCourse })

/** What a calibration comes to; a day is needed, for without it nobody knows how far to trust it. */
export function readCalibrationDocument(
  document: CalibrationDocument,
  fields: FieldReader,
  book: WorkingBook,
): MeasuredCourse | undefined {
  if (document.course.on === '') fields.missing('document.course.on', 'The day is still missing.')
  return readCourse(
    document.kind === 'spread'
      ? { kind: 'spread', note: document.course }
      : { kind: 'spray', note: document.course },
    'document.course',
    fields,
    book,
  )
}
