import type { CalibrationDocument } from '../calibration/calibrationDocument'
import type { Used } from './outcome'
import { isMassUnit, type AmountUnit, type MassUnit } from '../quantity/units'
import type { Quantity } from '../quantity/quantity'
import type { Entered } from '../quantity/entered'
import type { ApplicationDraft } from '../draft/applicationDraft'

/** What was weighed in and back on a finished dry job, as a calibration of the spreader that did it. */
export interface JobCalibration {
  readonly equipmentId: string
  readonly document: CalibrationDocument
}

/**
 * Start low and weigh back: the job itself was the course.
 * @param day of the job, YYYY-MM-DD; @param runId of the run it becomes; @param dial as it stood
 * @returns undefined where nothing can be learned: wet work, a machine that is not saved, amounts that are
 *   no weights
 * Source: trade.md 3, start low and weigh back.
 */
export function calibrationFromJob(
  { method, spread, products }: Pick<ApplicationDraft, 'method' | 'spread' | 'products'>,
  used: Used,
  day: string,
  by: string,
  runId: string,
  dial = spread.dial?.trim() || spread.calibration.setting,
): JobCalibration | undefined {
  const [putIn] = used.putIn
  const [start, left] = [putIn && weight(putIn.amount), weight(used.left)]
  if (method !== 'spread' || !spread.source || !start || !left) return undefined
  const { width, speed, timed } = spread.calibration
  const today = spread.speedToday.text.trim() !== ''
  return {
    equipmentId: spread.source.id,
    document: {
      schema: 1,
      kind: 'spread',
      by,
      heldBy: '',
      notes: 'Weighed back on a job.',
      course: {
        by: 'job',
        on: day,
        length: { text: '', unit: width.unit },
        width,
        speed: today ? spread.speedToday : speed,
        ...(timed && !today && { timed }),
        setting: dial,
        product: products[0]?.name ?? '',
        ground: { text: String(used.treated.value), unit: used.treated.unit },
        passes: String(spread.passes),
        runs: [{ id: runId, start, left }],
      },
    },
  }
}

const weight = ({ value, unit }: Quantity<AmountUnit>): Entered<MassUnit> | undefined =>
  isMassUnit(unit) ? { text: String(value), unit } : undefined
