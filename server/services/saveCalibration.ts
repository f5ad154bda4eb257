import { readCalibrationDocument } from '#core/calibration/calibrationDocument'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook } from '#core/working/working'
import type { Calibration, SaveCalibration } from '#shared/schemas/equipment'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { saveRow } from './saveRow'

/**
 * Works out what the calibration comes to; one that can't be worked out yet is kept without a figure. Run it
 * inside a transaction.
 */
export async function saveCalibration(
  { calibrations, equipment }: Pick<Repositories, 'calibrations' | 'equipment'>,
  id: string,
  input: SaveCalibration,
): Promise<Calibration> {
  const { document } = input
  const owner = await equipment.find(input.equipmentId)
  if (!owner) throw failure('not-found', 'There is no such piece of equipment.')
  if (owner.document.kind !== (document.kind === 'spread' ? 'spreader' : 'sprayer')) {
    throw failure('invalid', [
      { path: 'document.kind', message: `must be the calibration of a ${owner.document.kind}` },
    ])
  }
  const measured = readCalibrationDocument(document, fieldReader(), closedWorkingBook)
  const derived = {
    onDay: document.course.on || null,
    product: document.course.product ?? '',
    perPass: measured?.measured.mean ?? null,
  }
  return (await saveRow(calibrations, id, input, derived, 'calibration')).row
}
