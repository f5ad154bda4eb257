import { AMOUNT_NAMES } from '../../quantity/unitNames'
import type { AmountUnit, AreaUnit } from '../../quantity/units'

/** Names of amounts as labels print them; a bare "oz" may be of either sort until the form says which. */
export const AMOUNT_WORDS: Readonly<Record<string, AmountUnit>> = {
  ...AMOUNT_NAMES,
  ozs: 'oz',
  teaspoonful: 'tsp',
}

/** Ground as it is counted, in a unit of rates and how many of it. */
export interface Ground {
  readonly unit: AreaUnit
  readonly count: number
}

/** Ground of one piece of a unit that no rate is told in: its square feet or square metres. */
export const GROUND_WORDS: Readonly<Record<string, Ground>> = {
  acre: { unit: 'ac', count: 1 },
  acres: { unit: 'ac', count: 1 },
  ac: { unit: 'ac', count: 1 },
  a: { unit: 'ac', count: 1 },
  hectare: { unit: 'ha', count: 1 },
  hectares: { unit: 'ha', count: 1 },
  ha: { unit: 'ha', count: 1 },
  ft2: { unit: 'ft2', count: 1 },
  m2: { unit: 'm2', count: 1 },
  yd2: { unit: 'ft2', count: 9 },
  m: { unit: '1000 ft2', count: 1 },
  thousand: { unit: '1000 ft2', count: 1 },
}

/** What follows "square" or "sq". */
export const SQUARED: Readonly<Record<string, string>> = {
  ft: 'ft2',
  feet: 'ft2',
  foot: 'ft2',
  yd: 'yd2',
  yds: 'yd2',
  yard: 'yd2',
  yards: 'yd2',
  m: 'm2',
  meter: 'm2',
  meters: 'm2',
  metre: 'm2',
  metres: 'm2',
}

/** Words of time, in days. */
export const DAYS_IN: Readonly<Record<string, number>> = {
  day: 1,
  days: 1,
  d: 1,
  week: 7,
  weeks: 7,
  wk: 7,
  wks: 7,
  month: 30,
  months: 30,
}
/** Words of time, in hours. */
export const HOURS_IN: Readonly<Record<string, number>> = {
  hour: 1,
  hours: 1,
  hr: 1,
  hrs: 1,
  h: 1,
  minute: 1 / 60,
  minutes: 1 / 60,
  min: 1 / 60,
  day: 24,
  days: 24,
}
