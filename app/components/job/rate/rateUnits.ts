import type { AreaRateUnit, RateUnit } from '#core/quantity/units'

const DRY: readonly AreaRateUnit[] = ['lb/1000 ft2', 'lb/ac', 'oz/1000 ft2', 'g/m2', 'kg/100 m2', 'kg/ha']
const WET: readonly RateUnit[] = [
  'fl oz/1000 ft2',
  'fl oz/ac',
  'pt/ac',
  'qt/ac',
  'gal/ac',
  'mL/100 m2',
  'L/ha',
  'oz/1000 ft2',
  'oz/ac',
  'lb/1000 ft2',
  'lb/ac',
  'g/100 m2',
  'kg/ha',
  '%',
  'fl oz/gal',
  'mL/L',
  'oz/gal',
  'g/L',
]

/** The rate units offered in a list; every other unit of the trade can be typed. */
export const rateUnitsFor = (method: 'spread' | 'spray'): readonly RateUnit[] =>
  method === 'spread' ? DRY : WET
