import { APPLICATION_FIELDS } from '../../draft/applicationFields'
import { atAnotherSpeed, type AtSpeed } from '../../calibration/anotherSpeed'
import { calibrationTrust, type TrustReason } from '../../calibration/calibrationTrust'
import type { CalibrationToday } from '../../calibration/calibrationToday'
import { readCourse, type Course } from '../../calibration/readCourse'
import type { ApplicationDraft } from '../../draft/applicationShape'
import { trustQuestion } from '../../draft/fromLibrary'
import type { House } from '../../house'
import type { FieldReader } from '../../quantity/fieldReader'
import { lengthSi, metres, speedSi, type Metres } from '../../quantity/quantity'
import { sixDigits } from '../../working/figureText'
import type { WorkingBook } from '../../working/working'

/** What the machine is known to put down, and why that is to be trusted. */
export interface CalibrateLink {
  /** Undefined until its course and one whole run can be read. */
  readonly calibration: CalibrationToday | undefined
  readonly trust: readonly TrustReason[]
}

/** The calibration of the draft's method, on the day of the work. */
export function calibrateLink(
  draft: ApplicationDraft,
  day: string,
  house: House,
  fields: FieldReader,
  book: WorkingBook,
): CalibrateLink {
  const calibration = readToday(draft, fields, book)
  return {
    calibration,
    trust: calibration ? calibrationTrust(courseIn(draft), trustQuestion(draft, day, house)) : [],
  }
}

/** The calibration of the draft's method. */
export const courseIn = ({
  method,
  spread,
  spray,
}: Pick<ApplicationDraft, 'method' | 'spread' | 'spray'>): Course =>
  method === 'spread'
    ? { kind: 'spread', note: spread.calibration }
    : { kind: 'spray', note: spray.calibration }

function readToday(
  draft: ApplicationDraft,
  fields: FieldReader,
  book: WorkingBook,
): CalibrationToday | undefined {
  const at = fields.of(APPLICATION_FIELDS, '')
  const { method } = draft
  const { on } = draft[method].calibration
  const typedToday = at.optional('*.speedToday', draft[method].speedToday, method)
  const course = readCourse(courseIn(draft), `${method}.calibration`, fields, book)
  if (!course) return undefined
  const { measured, speed } = course
  const speedToday = typedToday ? speedSi(typedToday) : speed
  const today: AtSpeed =
    speed && speedToday
      ? atAnotherSpeed(measured.mean, speed, speedToday)
      : { perArea: measured.mean, trust: 'trusted' }
  const atCalibrated = { ...course, perPass: today.perArea, pace: today.trust, speedToday, on }
  const apart = draft.lanes && at.optional('lanes.apart', draft.lanes.apart)
  return apart ? atSpacing(atCalibrated, metres(lengthSi(apart)), book) : atCalibrated
}

/**
 * Lanes nearer than the calibrated width lay more on each square metre, as what is thrown stays the same.
 * Source: trade.md 3 (ground rate = flow / (swath x speed)).
 */
function atSpacing(calibration: CalibrationToday, apart: Metres, book: WorkingBook): CalibrationToday {
  const { width, perPass } = calibration
  const spaced = (perPass * width) / apart
  book.note('calibration.spacing', () => [
    `calibrated ${sixDigits(width)} m wide, lanes ${sixDigits(apart)} m apart`,
    `${sixDigits(perPass)} on each m2 x ${sixDigits(width)} / ${sixDigits(apart)} = ${sixDigits(spaced)}`,
  ])
  return { ...calibration, width: apart, perPass: spaced }
}
