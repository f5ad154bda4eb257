import { v7 as uuid } from 'uuid'
import type { CalibrationDocument } from '#core/calibration/calibrationShape'
import type { Calibration } from '#shared/schemas/equipment'

/** Keeps a calibration that came from elsewhere (a nozzle check, a finished job) at once, and opens it. */
export function useKeepCalibration() {
  const notice = useNotice()
  return async (equipmentId: string, document: CalibrationDocument) => {
    const id = uuid()
    try {
      await tell<Calibration>('PUT', `/library/calibrations/${id}`, { version: 0, equipmentId, document })
      await navigateTo(`/equipment/${equipmentId}/calibrations/${id}`)
    } catch (error) {
      notice.say('Not kept.', errorText(error))
    }
  }
}
