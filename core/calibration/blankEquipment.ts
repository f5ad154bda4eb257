import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import type { Entered } from '../quantity/entered'
import type { CalibrationDocument } from './calibrationDocument'
import type { SpreaderCourse, SprayerCourse } from './courseNote'
import type { EquipmentDocument, EquipmentKind } from './equipmentDocument'

const blank = <U extends string>(unit: U): Entered<U> => ({ text: '', unit })

/** Equipment with nothing typed yet, in the units of a system. */
export function blankEquipment(kind: EquipmentKind, system: UnitSystem): EquipmentDocument {
  const { length, weight, tank } = SYSTEM_UNITS[system]
  switch (kind) {
    case 'spreader': return { schema: 1, kind, type: 'broadcast push', hopper: blank(weight), reserve: blank(weight), swath: blank(length), dial: { low: '', high: '' }, notes: '' }
    case 'sprayer':
      return {
        schema: 1, kind, type: 'backpack', tank: blank(tank), fillTo: blank(tank), dead: blank(tank), agitate: blank(tank),
        nozzles: { count: '', spacing: blank(length === 'm' ? 'cm' : 'in'), what: '' }, notes: '',
      }
    case 'tool': return { schema: 1, kind, type: 'scale', step: blank('g'), capacity: blank(weight), tare: blank(weight), length: blank(length), factor: '', notes: '' }
    default: return kind satisfies never
  }
}

export function blankSpreaderCourse(runId: string, system: UnitSystem): SpreaderCourse {
  const { length, weight, speed } = SYSTEM_UNITS[system]
  return { on: '', length: blank(length), width: blank(length), speed: blank(speed), setting: '', product: '', runs: [{ id: runId, start: blank(weight), left: blank(weight) }] }
}

export function blankSprayerCourse(runId: string, system: UnitSystem): SprayerCourse {
  const { length, tank, speed } = SYSTEM_UNITS[system]
  return { on: '', length: blank(length), width: blank(length), speed: blank(speed), runs: [{ id: runId, used: blank(tank) }] }
}

/** A calibration with nothing typed yet. */
export function blankCalibration(kind: CalibrationDocument['kind'], runId: string, system: UnitSystem): CalibrationDocument {
  const remarks = { schema: 1, heldBy: '', by: '', notes: '' } as const
  return kind === 'spread' ? { ...remarks, kind, course: blankSpreaderCourse(runId, system) } : { ...remarks, kind, course: blankSprayerCourse(runId, system) }
}
