import { figureField, fieldsUnder, type FieldTable } from '../quantity/figureField'
import { TIMED_FIELDS } from './courseFields'

export const PATTERN_FIELDS = {
  spacing: figureField('length', 'above-zero', 'Tray spacing', { label: 'Tray to tray, middles' }),
  limit: figureField('percent', 'above-zero', 'CV limit', { label: 'Even enough up to a CV of' }),
  lane: figureField('length', 'above-zero', 'Lane spacing', {
    label: 'Lane spacing in mind',
    hint: 'blank: the effective swath',
  }),
  'catches.*': figureField('amount', 'zero-too', 'Tray'),
  'tray.width': figureField('length', 'above-zero', 'Tray width', { label: 'Tray across' }),
  'tray.length': figureField('length', 'above-zero', 'Tray length', { label: 'Tray along' }),
} as const satisfies FieldTable

export const NOZZLE_FIELDS = {
  time: figureField('stopwatch', 'above-zero', 'Time', { label: 'Caught for' }),
  spacing: figureField('length', 'above-zero', 'Nozzle spacing', { hint: 'one nozzle: its width' }),
  rated: figureField('volume', 'above-zero', 'A new one gives', { label: 'A new one gives, a minute' }),
  'catches.*': figureField('volume', 'zero-too', 'Nozzle'),
  wanted: figureField('carrier', 'above-zero', 'Carrier wanted'),
  'pressure.now': figureField('pressure', 'above-zero', 'Pressure', { label: 'Pressure now' }),
  'pressure.low': figureField('pressure', 'above-zero', 'Least pressure', { label: 'Nozzle works from' }),
  'pressure.high': figureField('pressure', 'above-zero', 'Highest pressure', { label: 'to' }),
  'ask.speed': figureField('speed', 'above-zero', 'Speed', { label: 'Speed, if other' }),
  'ask.spacing': figureField('length', 'above-zero', 'Spacing', { label: 'Spacing, if other', unit: 'in' }),
  'ask.pressure': figureField('pressure', 'above-zero', 'Pressure', { label: 'Pressure, if other' }),
  'fan.height': figureField('length', 'above-zero', 'Height', { label: 'Spray height', unit: 'in' }),
  'fan.angle': figureField('angle', 'above-zero', 'Fan angle'),
} as const satisfies FieldTable

/** Every figure of a bench test, at its path in it. */
export const BENCH_TEST_TABLES = {
  pattern: PATTERN_FIELDS,
  nozzles: { ...NOZZLE_FIELDS, ...fieldsUnder('course', TIMED_FIELDS) },
} as const satisfies Record<string, FieldTable>
