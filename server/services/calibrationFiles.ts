import { CALIBRATION_COLUMNS, calibrationRows } from '#core/calibration/calibrationRows'
import type {
  CalibrationFile,
  ImportCalibrations,
  ImportedCalibrations,
} from '#shared/schemas/calibrationFile'
import type { Calibration, Equipment } from '#shared/schemas/equipment'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { saveCalibration } from './saveCalibration'
import { csvOf } from './csv'

/** Every calibration of one machine as a file. */
export function calibrationFile(
  machine: Equipment,
  calibrations: readonly Calibration[],
  format: 'csv' | 'json',
): string {
  if (format === 'json') {
    const file: CalibrationFile = {
      format: 'calibrations',
      schema: 1,
      machine: machine.name,
      calibrations: calibrations.map(({ id, document }) => ({ id, document })),
    }
    return `${JSON.stringify(file, null, 1)}\n`
  }
  const perPass = new Map(
    calibrations.flatMap(({ id, perPass: gives }) => (gives === null ? [] : [[id, gives] as const])),
  )
  return csvOf(calibrationRows(calibrations, perPass), { columns: CALIBRATION_COLUMNS })
}

/**
 * Takes calibrations in, all or none; one that is stored under its id already stays as it is, so that a
 * repeat changes nothing.
 */
export async function importCalibrations(
  repositories: Repositories,
  equipmentId: string,
  { calibrations }: ImportCalibrations,
): Promise<ImportedCalibrations> {
  return repositories.transaction(async (inside) => {
    if (!(await inside.equipment.find(equipmentId)))
      throw failure('not-found', 'There is no such piece of equipment.')
    let added = 0
    for (const { id, document } of calibrations) {
      if (await inside.calibrations.find(id)) continue
      await saveCalibration(inside, id, { version: 0, equipmentId, document })
      added += 1
    }
    return { added, kept: calibrations.length - added }
  })
}
