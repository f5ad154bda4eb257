import * as v from 'valibot'
import { CalibrationDocumentSchema } from '#core/calibration/calibrationShape'
import { Uuid } from '#core/shape/texts'

/** Calibrations of one machine with their own ids, so that a file taken in twice is stored once. */
const calibrations = v.pipe(
  v.array(v.strictObject({ id: Uuid, document: CalibrationDocumentSchema })),
  v.minLength(1, 'holds no calibration'),
  v.maxLength(500, 'holds more than 500 calibrations'),
)

export const ImportCalibrationsSchema = v.strictObject({ calibrations })
export type ImportCalibrations = v.InferOutput<typeof ImportCalibrationsSchema>

/** The JSON file: what is exported can be taken in again. */
export const CalibrationFileSchema = v.strictObject({
  format: v.literal('calibrations'),
  schema: v.literal(1),
  machine: v.string(),
  calibrations,
})
export type CalibrationFile = v.InferOutput<typeof CalibrationFileSchema>

export interface ImportedCalibrations {
  readonly added: number
  /** Already stored under their id, and left as they are. */
  readonly kept: number
}
