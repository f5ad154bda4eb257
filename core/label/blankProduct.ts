import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import { blankIn } from '../quantity/entered'
import type { ProductDocument, RateLine } from './productShape'

/** A line of a label with nothing typed yet; a granule is told by mass, anything else by fluid measure. */
export function blankRateLine(id: string, form: ProductDocument['form'], system: UnitSystem): RateLine {
  const { massRate, volumeRate } = SYSTEM_UNITS[system]
  const unit = form === 'granule' ? massRate : volumeRate
  return {
    id,
    use: '',
    basis: 'product',
    rate: blankIn(unit),
    low: blankIn(unit),
    high: blankIn(unit),
    most: blankIn(unit),
    year: blankIn(unit),
    repeatFrom: blankIn('d'),
    repeatTo: blankIn('d'),
  }
}

/** A product with nothing typed yet. */
export function blankProductDocument(lineId: string, system: UnitSystem): ProductDocument {
  const metric = SYSTEM_UNITS[system].length === 'm'
  return {
    schema: 1,
    kind: 'fertilizer',
    form: 'granule',
    registration: '',
    density: blankIn(metric ? 'kg/L' : 'lb/gal'),
    analysis: {
      n: blankIn('%'),
      p2o5: blankIn('%'),
      k2o: blankIn('%'),
      fe: blankIn('%'),
      slowN: blankIn('%'),
    },
    actives: [],
    lines: [blankRateLine(lineId, 'granule', system)],
    packages: [],
    reentry: blankIn('h'),
    reorderAt: blankIn(SYSTEM_UNITS[system].weight),
    signal: '',
    label: 'own',
    notes: '',
  }
}
