import { isSpaced, sprayedWidth } from '../calibration/chooseMethod'
import type { SpreaderCourse, SprayerCourse, CalibrationDocument } from '../calibration/calibrationShape'
import type { Used } from './outcome'
import { isMassUnit, isVolumeUnit, type AmountUnit } from '../quantity/units'
import type { Quantity } from '../quantity/quantity'
import type { Entered } from '../quantity/entered'
import { withoutTrailingBlanks } from '../quantity/readings'
import type { ApplicationDraft } from '../draft/applicationShape'

/** What went in and came back on a finished job, as a calibration of the machine that did it. */
export interface JobCalibration {
  readonly equipmentId: string
  readonly document: CalibrationDocument
}

/**
 * The job itself was the course: dry work weighed back after starting low, wet work measured back.
 * @param day of the job, YYYY-MM-DD; @param runId of the run it becomes; @param dial as it stood
 * @returns undefined where nothing can be learned: a machine that is not saved, a hose-end bottle (it draws
 *   product, not spray), dry amounts that are no weights
 * Source: trade.md 3, start low and weigh back; 4, known area; 9, feed the calibration.
 */
export function calibrationFromJob(
  draft: JobDraft,
  used: Used,
  day: string,
  by: string,
  runId: string,
  dial = draft.spread.dial?.trim() || draft.spread.calibration.setting,
): JobCalibration | undefined {
  const { source } = draft[draft.method]
  const course = draft.method === 'spread' ? spreadCourse(draft, used, day, runId, dial) : undefined
  const wet = draft.method === 'spray' ? sprayCourse(draft, used, day, runId) : undefined
  const remarks = { schema: 1, by, heldBy: '' } as const
  if (!source) return undefined
  if (course)
    return {
      equipmentId: source.id,
      document: { ...remarks, kind: 'spread', notes: 'Weighed back on a job.', course },
    }
  return (
    wet && { equipmentId: source.id, document: { ...remarks, kind: 'spray', notes: WET_NOTES, course: wet } }
  )
}

/** The pace it was carried out at is known: such a point is worth keeping. */
export const hasPace = ({ document: { course } }: JobCalibration): boolean =>
  course.speed.text.trim() !== '' || (course.timed?.times ?? []).some(({ text }) => text.trim() !== '')

type JobDraft = Pick<ApplicationDraft, 'method' | 'spread' | 'spray' | 'products'>
const WET_NOTES = 'Measured back on a job; what is left counts hose and boom.'

function spreadCourse(
  { spread, products }: JobDraft,
  used: Used,
  day: string,
  runId: string,
  setting: string,
): SpreaderCourse | undefined {
  const [putIn] = used.putIn
  const [start, left] = [putIn && inUnits(putIn.amount, isMassUnit), inUnits(used.left, isMassUnit)]
  return (
    start &&
    left && {
      by: 'job',
      on: day,
      ...carried(spread),
      setting,
      product: products[0]?.name ?? '',
      ground: groundOf(used),
      passes: String(spread.passes),
      runs: [{ id: runId, start, left }],
    }
  )
}

function sprayCourse({ spray }: JobDraft, used: Used, day: string, runId: string): SprayerCourse | undefined {
  const [start, left] = [used.made && inUnits(used.made, isVolumeUnit), inUnits(used.left, isVolumeUnit)]
  const { by, width, pressure, nozzles, count = '', catching } = spray.calibration
  if (by === 'hose-end' || !start || !left) return undefined
  // What was caught at single nozzles was measured by their spacing; a job sprays with all of them.
  const caught = withoutTrailingBlanks(catching?.catches ?? [], 1).length
  const single = by !== undefined && (isSpaced(by) || by === 'one nozzle')
  const many = by === 'nozzle catch' ? String(caught) : count.trim() || '1'
  return {
    by: 'job',
    on: day,
    ...carried(spray),
    ...(single && { width: sprayedWidth({ count: many, spacing: width }) ?? width }),
    ...(pressure && { pressure }),
    ...(nozzles && { nozzles }),
    ground: groundOf(used),
    runs: [{ id: runId, used: { text: '', unit: start.unit }, start, left }],
  }
}

/** Width and pace as the work was done. */
function carried({ calibration, speedToday }: Pick<ApplicationDraft['spray'], 'speedToday'> & Carried) {
  const { width, speed, timed } = calibration
  const today = speedToday.text.trim() !== ''
  return {
    length: { text: '', unit: width.unit },
    width,
    speed: today ? speedToday : speed,
    ...(timed && !today && { timed }),
  }
}
interface Carried {
  readonly calibration: Pick<SprayerCourse, 'width' | 'speed' | 'timed'>
}

const groundOf = ({ treated }: Used) => ({ text: String(treated.value), unit: treated.unit })

const inUnits = <U extends AmountUnit>(
  { value, unit }: Quantity<AmountUnit>,
  fits: (unit: AmountUnit) => unit is U,
): Entered<U> | undefined => (fits(unit) ? { text: String(value), unit } : undefined)
