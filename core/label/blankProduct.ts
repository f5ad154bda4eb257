import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import type { Entered } from '../quantity/entered'
import type { ProductDocument, RateLine } from './productDocument'

const blank = <U extends string>(unit: U): Entered<U> => ({ text: '', unit })

/** A line of a label with nothing typed yet; a granule is told by mass, anything else by fluid measure. */
export function blankRateLine(id: string, form: ProductDocument['form'], system: UnitSystem): RateLine {
  const { massRate, volumeRate } = SYSTEM_UNITS[system]
  const unit = form === 'granule' ? massRate : volumeRate
  return { id, use: '', basis: 'product', rate: blank(unit), low: blank(unit), high: blank(unit), most: blank(unit), year: blank(unit), repeatFrom: blank('d'), repeatTo: blank('d') }
}

/** A product with nothing typed yet. */
export function blankProductDocument(lineId: string, system: UnitSystem): ProductDocument {
  const metric = SYSTEM_UNITS[system].length === 'm'
  return {
    schema: 1, kind: 'fertilizer', form: 'granule', registration: '', density: blank(metric ? 'kg/L' : 'lb/gal'),
    analysis: { n: blank('%'), p2o5: blank('%'), k2o: blank('%'), fe: blank('%'), slowN: blank('%') }, actives: [],
    lines: [blankRateLine(lineId, 'granule', system)], packages: [], reentry: blank('h'), reorderAt: blank(SYSTEM_UNITS[system].weight), signal: '', label: 'own', notes: '',
  }
}
