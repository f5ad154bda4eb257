import { calibrationAge, newestDay } from './calibrationAge'
import type { CalibrationDocument } from './calibrationShape'
import type { EquipmentDocument } from './equipmentShape'

interface Machine {
  readonly id: string
  readonly name: string
  readonly document: Pick<EquipmentDocument, 'kind'>
}

/** A machine that is to be calibrated again. */
export interface StaleMachine {
  readonly equipmentId: string
  readonly equipment: string
  /** Day of its newest calibration, YYYY-MM-DD; blank: none. */
  readonly on: string
  readonly days: number
}

/**
 * Spreaders and sprayers whose newest calibration is older than it is trusted, or that have none.
 * Source: trade.md 6, stale calibration.
 * @param trusted days
 */
export function staleMachines(
  machines: readonly Machine[],
  calibrations: readonly { readonly equipmentId: string; readonly document: CalibrationDocument }[],
  day: string,
  trusted: number,
): readonly StaleMachine[] {
  return machines
    .filter(({ document }) => document.kind !== 'tool')
    .flatMap(({ id, name }) => {
      const own = calibrations.filter(({ equipmentId }) => equipmentId === id)
      const on = newestDay(
        own.map(({ document }) => document.course.on),
        day,
      )
      const age = calibrationAge(on, day, trusted)
      return age.state === 'fresh' ? [] : [{ equipmentId: id, equipment: name, on, days: age.days ?? 0 }]
    })
}
