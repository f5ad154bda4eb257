import { figureField, fieldsUnder, type FieldTable } from '../quantity/figureField'
import { COURSE_FIELDS } from '../ground/areaFields'

export const EQUIPMENT_FIELDS = {
  hopper: figureField('mass', 'above-zero', 'Hopper', { label: 'Hopper holds' }),
  reserve: figureField('mass', 'zero-too', 'Reserve', {
    label: 'Reserve charge',
    hint: 'the last of the hopper spreads badly',
  }),
  swath: figureField('length', 'above-zero', 'Swath'),
  tank: figureField('volume', 'above-zero', 'Tank', { label: 'Tank holds' }),
  fillTo: figureField('volume', 'above-zero', 'Filled to', { hint: 'blank: the whole tank' }),
  dead: figureField('volume', 'zero-too', 'Dead volume', { label: 'Stays in hose and boom' }),
  agitate: figureField('volume', 'zero-too', 'Least the pump agitates', { label: 'Agitates from' }),
  'nozzles.spacing': figureField('length', 'above-zero', 'Nozzle spacing'),
  'nozzles.drops.*.pressure': figureField('pressure', 'above-zero', 'Pressure'),
  step: figureField('amount', 'above-zero', 'Smallest step'),
  capacity: figureField('amount', 'above-zero', 'Capacity', { label: 'Takes up to' }),
  tare: figureField('mass', 'zero-too', 'Tare', { hint: 'what the empty tub weighs' }),
} as const satisfies FieldTable

/** Every figure of a machine or tool, at its path in it. */
export const EQUIPMENT_TABLE: FieldTable = { ...EQUIPMENT_FIELDS, ...fieldsUnder('course', COURSE_FIELDS) }
