import type { Calibration, Equipment, SaveCalibration, SaveEquipment } from '#shared/schemas/equipment'
import type { SaveBenchTest, BenchTest } from '#shared/schemas/benchTest'
import type { CalibrationModel, EquipmentModel, BenchTestModel } from '../database/libraryModels'
import { editableRows, namedRow, plainRow, type EditableRows } from './editableRows'
import type { Scope } from './scope'

export interface EquipmentFields extends Omit<SaveEquipment, 'version'> {
  readonly kind: SaveEquipment['document']['kind']
}
export interface CalibrationFields extends Omit<SaveCalibration, 'version'> {
  readonly onDay: string | null
  readonly product: string
  readonly perPass: number | null
}

export interface BenchTestFields extends Omit<SaveBenchTest, 'version'> {
  readonly onDay: string | null
}

export type EquipmentRepository = EditableRows<Equipment, EquipmentFields>
export type CalibrationsRepository = EditableRows<Calibration, CalibrationFields>

export type BenchTestsRepository = EditableRows<BenchTest, BenchTestFields>

export const equipmentRepository = (scope: Scope): EquipmentRepository =>
  editableRows<EquipmentModel, Equipment, EquipmentFields>(scope, scope.database.models.equipment, namedRow, [
    'kind',
    'name',
  ])

export const calibrationsRepository = (scope: Scope): CalibrationsRepository =>
  editableRows<CalibrationModel, Calibration, CalibrationFields>(
    scope,
    scope.database.models.calibrations,
    plainRow('equipmentId', 'perPass', 'document'),
    ['onDay'],
  )

export const benchTestsRepository = (scope: Scope): BenchTestsRepository =>
  editableRows<BenchTestModel, BenchTest, BenchTestFields>(
    scope,
    scope.database.models.benchTests,
    plainRow('equipmentId', 'document'),
    ['onDay'],
  )
