import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import { blankIn } from '../quantity/entered'
import type { SpreaderCourse, SprayerCourse } from './calibrationShape'
import type { EquipmentKind } from './equipmentKinds'
import type { EquipmentDocument } from './equipmentShape'

/** Equipment with nothing typed yet, in the units of a system. */
export function blankEquipment(kind: EquipmentKind, system: UnitSystem): EquipmentDocument {
  const { length, weight, tank } = SYSTEM_UNITS[system]
  switch (kind) {
    case 'spreader':
      return {
        schema: 1,
        kind,
        type: 'broadcast push',
        hopper: blankIn(weight),
        reserve: blankIn(weight),
        swath: blankIn(length),
        dial: { low: '', high: '' },
        notes: '',
      }
    case 'sprayer':
      return {
        schema: 1,
        kind,
        type: 'backpack',
        tank: blankIn(tank),
        fillTo: blankIn(tank),
        dead: blankIn(tank),
        agitate: blankIn(tank),
        nozzles: { count: '', spacing: blankIn(length === 'm' ? 'cm' : 'in'), what: '' },
        notes: '',
      }
    case 'tool':
      return {
        schema: 1,
        kind,
        type: 'scale',
        step: blankIn('g'),
        capacity: blankIn(weight),
        tare: blankIn(weight),
        length: blankIn(length),
        factor: '',
        notes: '',
      }
    default:
      return kind satisfies never
  }
}

export function blankSpreaderCourse(runId: string, system: UnitSystem): SpreaderCourse {
  const { length, weight, speed } = SYSTEM_UNITS[system]
  return {
    on: '',
    length: blankIn(length),
    width: blankIn(length),
    speed: blankIn(speed),
    setting: '',
    product: '',
    runs: [{ id: runId, start: blankIn(weight), left: blankIn(weight) }],
  }
}

export function blankSprayerCourse(runId: string, system: UnitSystem): SprayerCourse {
  const { length, tank, speed } = SYSTEM_UNITS[system]
  return {
    on: '',
    length: blankIn(length),
    width: blankIn(length),
    speed: blankIn(speed),
    runs: [{ id: runId, used: blankIn(tank) }],
  }
}
