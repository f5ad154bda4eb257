import { figureField, fieldsUnder, type FieldTable } from '../quantity/figureField'

/** A timed course, and the speed typed beside it. */
export const TIMED_FIELDS = {
  length: figureField('length', 'above-zero', 'Course length', { label: 'Timed over' }),
  'times.*': figureField('stopwatch', 'above-zero', 'Time'),
  speed: figureField('speed', 'above-zero', 'Speed'),
} as const satisfies FieldTable

const SPEED: FieldTable = { ...fieldsUnder('timed', TIMED_FIELDS), speed: TIMED_FIELDS.speed }

export const SPREAD_RUN_FIELDS = {
  start: figureField('mass', 'above-zero', 'Weighed in'),
  left: figureField('mass', 'zero-too', 'Weighed back'),
  caught: figureField('mass', 'above-zero', 'Caught', { unit: 'g' }),
  time: figureField('stopwatch', 'above-zero', 'Time'),
} as const satisfies FieldTable

export const SPREAD_FIELDS = {
  length: figureField('length', 'above-zero', 'Course length'),
  width: figureField('length', 'above-zero', 'Swath'),
  step: figureField('mass', 'above-zero', 'Smallest step', {
    label: 'Smallest step of the scale',
    unit: 'oz',
  }),
  ground: figureField('area', 'above-zero', 'Ground treated'),
} as const satisfies FieldTable

export const SPRAY_RUN_FIELDS = {
  used: figureField('volume', 'above-zero', 'Caught'),
  start: figureField('volume', 'above-zero', 'Filled in'),
  left: figureField('volume', 'zero-too', 'Drained'),
  time: figureField('stopwatch', 'above-zero', 'Time on the course'),
} as const satisfies FieldTable

export const SPRAY_FIELDS = {
  length: figureField('length', 'above-zero', 'Course length'),
  width: figureField('length', 'above-zero', 'Sprayed width'),
  pressure: figureField('pressure', 'above-zero', 'Pressure'),
  step: figureField('volume', 'above-zero', 'Smallest step', {
    label: 'Smallest step of the jug',
    unit: 'fl oz',
  }),
  ground: figureField('area', 'above-zero', 'Ground treated'),
  'catching.time': figureField('stopwatch', 'above-zero', 'Caught for'),
  'catching.catches.*': figureField('volume', 'zero-too', 'Nozzle', { unit: 'fl oz' }),
  'covered.ground': figureField('area', 'above-zero', 'Ground covered'),
  'covered.time': figureField('stopwatch', 'above-zero', 'Time for that ground'),
} as const satisfies FieldTable

/** Every figure of a calibration, at its path in it. */
export const COURSE_TABLES = {
  spread: { ...SPREAD_FIELDS, ...SPEED, ...fieldsUnder('runs.*', SPREAD_RUN_FIELDS) },
  spray: { ...SPRAY_FIELDS, ...SPEED, ...fieldsUnder('runs.*', SPRAY_RUN_FIELDS) },
} as const satisfies Record<string, FieldTable>
