import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import { blankIn } from '../quantity/entered'
import { blankSpreaderCourse, blankSprayerCourse } from '../calibration/blankEquipment'
import { blankPart } from '../ground/blankArea'
import type { LanesDraft, ApplicationDraft, AreaDraft, ProductDraft } from './applicationShape'

export const blankLawn = (
  ids: { readonly lawn: string; readonly part: string },
  system: UnitSystem,
): AreaDraft => ({
  id: ids.lawn,
  name: '',
  treated: 'yes',
  instrument: 'tape',
  parts: [blankPart(ids.part, 'add', 'rectangle', system)],
})

/** A label with nothing typed yet; a dry product is asked for in mass, a wet one in fluid measure. */
export function blankProduct(
  id: string,
  method: ApplicationDraft['method'],
  system: UnitSystem,
): ProductDraft {
  const units = SYSTEM_UNITS[system]
  const metric = units.length === 'm'
  const rate = method === 'spread' ? units.massRate : units.volumeRate
  return {
    id,
    name: '',
    registration: '',
    form: method === 'spread' ? 'granule' : 'solution',
    basis: 'product',
    rate: blankIn(rate),
    low: blankIn(rate),
    high: blankIn(rate),
    most: blankIn(rate),
    density: blankIn(metric ? 'kg/L' : 'lb/gal'),
    analysis: {
      n: blankIn('%'),
      p2o5: blankIn('%'),
      k2o: blankIn('%'),
      fe: blankIn('%'),
      slowN: blankIn('%'),
    },
    active: { name: '', content: blankIn('%') },
    step: method === 'spread' ? blankIn(metric ? 'g' : 'lb') : blankIn(metric ? 'mL' : 'fl oz'),
  }
}

/**
 * An application with nothing typed yet: one lawn, one product, both methods ready. Ids come from the caller.
 */
export function blankApplication(
  ids: { readonly lawn: string; readonly part: string; readonly product: string; readonly run: string },
  method: ApplicationDraft['method'],
  system: UnitSystem,
): ApplicationDraft {
  const { weight, tank, speed } = SYSTEM_UNITS[system]
  return {
    schema: 2,
    lawns: [blankLawn(ids, system)],
    products: [blankProduct(ids.product, method, system)],
    method,
    spread: {
      equipment: '',
      passes: 2,
      reserve: blankIn(weight),
      speedToday: blankIn(speed),
      calibration: blankSpreaderCourse(ids.run, system),
    },
    spray: {
      equipment: '',
      tank: blankIn(tank),
      loads: 'full-then-part',
      dead: blankIn(tank),
      agitate: blankIn(tank),
      speedToday: blankIn(speed),
      calibration: blankSprayerCourse(ids.run, system),
    },
  }
}

/** Lanes with nothing overruled. */
export function blankLanes(system: UnitSystem): LanesDraft {
  const { length, speed } = SYSTEM_UNITS[system]
  return {
    apart: blankIn(length),
    headers: '',
    shutSide: '',
    aim: '',
    downhill: '',
    turn: blankIn('s'),
    buffer: blankIn(length),
    windFrom: '',
    wind: blankIn(speed),
    lawns: [],
  }
}
