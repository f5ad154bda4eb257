import { COURSE_TABLES } from '../calibration/courseFields'
import { NOTES_TABLE } from '../ground/areaFields'
import { figureField, fieldsUnder, type FieldTable } from '../quantity/figureField'

/** A product as it is noted on a job. */
export const PRODUCT_NOTE_FIELDS = {
  rate: figureField('rate', 'above-zero', 'Rate'),
  low: figureField('rate', 'above-zero', 'Lowest rate', { label: 'Label, lowest' }),
  high: figureField('rate', 'above-zero', 'Highest rate', { label: 'Label, highest' }),
  most: figureField('rate', 'above-zero', 'Most per application', { label: 'Most in one go' }),
  density: figureField('density', 'above-zero', 'Density'),
  'analysis.*': figureField('percent', 'zero-too', 'Share'),
  'active.content': figureField('content', 'above-zero', 'Active content', { label: 'Its content' }),
  step: figureField('amount', 'above-zero', 'Measuring step', { label: 'Measured in steps of' }),
} as const satisfies FieldTable

export const APPLICATION_FIELDS = {
  'spread.reserve': figureField('mass', 'zero-too', 'Reserve', { label: 'Reserve in the hopper' }),
  'spray.tank': figureField('volume', 'above-zero', 'Tank', { label: 'Tank, filled to' }),
  'spray.dead': figureField('volume', 'zero-too', 'Dead volume', { label: 'Stays in hose, boom' }),
  'spray.agitate': figureField('volume', 'zero-too', 'Least the pump agitates', { label: 'Agitates from' }),
  '*.speedToday': figureField('speed', 'above-zero', 'Speed today', { label: 'Speed today, if other' }),
  'lawns.*.own': figureField('rate', 'above-zero', 'Rate of this lawn'),
  'lanes.apart': figureField('length', 'above-zero', 'Lanes apart', { label: 'Lanes apart, if other' }),
  'lanes.turn': figureField('stopwatch', 'zero-too', 'A turn', {
    label: 'A turn takes',
    hint: '5 s where nobody timed one',
  }),
  'lanes.buffer': figureField('length', 'zero-too', 'Buffer', { label: 'Kept from open water' }),
  'lanes.bedBuffer': figureField('length', 'zero-too', 'Buffer', { label: 'Kept from beds' }),
  'lanes.wind': figureField('speed', 'zero-too', 'Wind'),
  'day.air': figureField('temperature', 'any-sign', 'Air', { label: 'Air, at its warmest' }),
  'day.soil': figureField('temperature', 'any-sign', 'Soil', { label: 'Soil, at 2 in' }),
  'fate.wait': figureField('time', 'zero-too', 'Wait', { label: 'Wait before the next', unit: 'h' }),
} as const satisfies FieldTable

/** Every figure of an application, at its path in it. */
export const APPLICATION_TABLE: FieldTable = {
  ...APPLICATION_FIELDS,
  'spread.speedToday': APPLICATION_FIELDS['*.speedToday'],
  'spray.speedToday': APPLICATION_FIELDS['*.speedToday'],
  ...fieldsUnder('products.*', PRODUCT_NOTE_FIELDS),
  ...fieldsUnder('lawns.*', NOTES_TABLE),
  ...fieldsUnder('spread.calibration', COURSE_TABLES.spread),
  ...fieldsUnder('spray.calibration', COURSE_TABLES.spray),
}
