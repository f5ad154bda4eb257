import { figureField, fieldsUnder, type FieldTable } from '../quantity/figureField'
import { CARRIER_UNITS } from '../quantity/units'

const SPRAY_VOLUMES = CARRIER_UNITS.filter((unit) => /^(gal|L)\/(1000 ft2|ac|100 m2|ha)$/.test(unit))

/** The figures a line may print beside its rate. */
export const LINE_FIGURES = {
  carrierFrom: figureField('carrier', 'above-zero', 'Spray from', { units: SPRAY_VOLUMES }),
  carrierTo: figureField('carrier', 'above-zero', 'Spray to', { units: SPRAY_VOLUMES }),
  lead: figureField('time', 'above-zero', 'Works after'),
  lasts: figureField('time', 'above-zero', 'Lasts'),
  seedAfter: figureField('time', 'above-zero', 'Wait after seeding'),
  seedBefore: figureField('time', 'above-zero', 'No seeding for'),
  rainfast: figureField('time', 'above-zero', 'Rainfast after', { unit: 'h' }),
  waterDepth: figureField('length', 'above-zero', 'Water in by', { unit: 'in' }),
  waterWithin: figureField('time', 'above-zero', 'within', { unit: 'h' }),
  mowBefore: figureField('time', 'above-zero', 'No mowing before', { unit: 'h' }),
  mowAfter: figureField('time', 'above-zero', 'No mowing after', { unit: 'h' }),
  rakeAfter: figureField('time', 'above-zero', 'No raking, coring for'),
  windMost: figureField('speed', 'above-zero', 'Wind up to'),
  buffer: figureField('length', 'above-zero', 'Buffer to water'),
  soilFrom: figureField('temperature', 'any-sign', 'Soil from'),
  soilTo: figureField('temperature', 'any-sign', 'Soil up to'),
  airMost: figureField('temperature', 'any-sign', 'Air up to'),
} as const satisfies FieldTable
export type LineFigure = keyof typeof LINE_FIGURES
export const LINE_FIGURE_NAMES = Object.keys(LINE_FIGURES) as readonly LineFigure[]

/** One line of a label, with its limits. */
export const LINE_FIELDS = {
  rate: figureField('rate', 'above-zero', 'Usual rate'),
  low: figureField('rate', 'above-zero', 'Lowest rate', { label: 'Lowest' }),
  high: figureField('rate', 'above-zero', 'Highest rate', { label: 'Highest' }),
  most: figureField('rate', 'above-zero', 'Most per application', { label: 'Most in one go' }),
  year: figureField('rate', 'above-zero', 'Most in a year'),
  yearActive: figureField('rate', 'above-zero', 'Most of the active in a year', {
    label: 'Most of the active, a year',
    unit: 'lb/ac',
  }),
  repeatFrom: figureField('time', 'above-zero', 'Repeat from'),
  repeatTo: figureField('time', 'above-zero', 'Repeat to', { label: 'at the latest' }),
} as const satisfies FieldTable

export const PRODUCT_FIELDS = {
  density: figureField('density', 'above-zero', 'Density'),
  grain: figureField('grain', 'above-zero', 'Grain size', {
    label: 'Grain size, middle',
    hint: 'alike share a curve',
  }),
  'analysis.*': figureField('percent', 'zero-too', 'Share'),
  'actives.*.content': figureField('content', 'above-zero', 'Active content', { label: 'Content' }),
  'packages.*.size': figureField('amount', 'above-zero', 'Package', { label: 'Holds' }),
  reentry: figureField('time', 'zero-too', 'Re-entry', {
    label: 'Nobody back for',
    hint: 'blank: once dry',
  }),
  reorderAt: figureField('amount', 'zero-too', 'Reorder at', {
    label: 'To be bought at',
    hint: 'stock at or under this is low',
  }),
  shelfLife: figureField('time', 'above-zero', 'Keeps for', { label: 'Keeps for, unopened', unit: 'wk' }),
  'nForms.*': figureField('percent', 'zero-too', 'Share'),
  releases: figureField('time', 'above-zero', 'Releases over', { unit: 'wk' }),
  'measures.*.holds': figureField('amount', 'above-zero', 'One level fill', { label: 'holds of it' }),
} as const satisfies FieldTable

/** Every figure of a label, at its path in it. */
export const PRODUCT_TABLE: FieldTable = {
  ...PRODUCT_FIELDS,
  ...fieldsUnder('lines.*', LINE_FIELDS),
  ...fieldsUnder('lines.*.figures', LINE_FIGURES),
}
