import * as v from 'valibot'
import { CalibrationDocumentSchema } from '#core/calibration/calibrationShape'
import { EquipmentDocumentSchema } from '#core/calibration/equipmentShape'
import { Name, Uuid, Version } from '#core/shape/texts'

export const SaveEquipmentSchema = v.strictObject({
  version: Version,
  name: Name,
  document: EquipmentDocumentSchema,
})
export type SaveEquipment = v.InferOutput<typeof SaveEquipmentSchema>

export interface Equipment extends SaveEquipment {
  readonly id: string
  readonly updatedAt: string
}

export const SaveCalibrationSchema = v.strictObject({
  version: Version,
  equipmentId: Uuid,
  document: CalibrationDocumentSchema,
})
export type SaveCalibration = v.InferOutput<typeof SaveCalibrationSchema>

/** A calibration as it is stored; what it comes to was computed by the server, null until it can be. */
export interface Calibration extends SaveCalibration {
  readonly id: string
  /** Kg or m3 on each m2 in one pass. */
  readonly perPass: number | null
  readonly updatedAt: string
}
