import type { SpreaderCourse, SprayerCourse } from '../calibration/courseNote'
import type { CalibrationDocument } from '../calibration/calibrationDocument'
import type { Used } from './outcome'
import { isMassUnit, isVolumeUnit, type AmountUnit, type LengthUnit } from '../quantity/units'
import type { Quantity } from '../quantity/quantity'
import { readPositive, type Entered } from '../quantity/entered'
import type { ApplicationDraft } from '../draft/applicationDraft'

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
  const { by, width, pressure, nozzles, count } = spray.calibration
  if (by === 'hose-end' || !start || !left) return undefined
  const spaced = by === 'nozzle catch' || by === '1/128 acre' || by === 'one nozzle'
  return {
    by: 'job',
    on: day,
    ...carried(spray),
    ...(spaced && { width: timesOver(width, Number(count) || spray.calibration.catching?.catches.length) }),
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

/** A spacing as the width of all nozzles together. */
function timesOver(spacing: Entered<LengthUnit>, count = 1): Entered<LengthUnit> {
  const read = readPositive(spacing, 'length', 'Nozzle spacing')
  return read.ok
    ? { text: String(Number((read.value.value * count).toPrecision(12))), unit: read.value.unit }
    : spacing
}

const inUnits = <U extends AmountUnit>(
  { value, unit }: Quantity<AmountUnit>,
  fits: (unit: AmountUnit) => unit is U,
): Entered<U> | undefined => (fits(unit) ? { text: String(value), unit } : undefined)
