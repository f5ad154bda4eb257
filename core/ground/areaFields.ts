import { figureField, fieldsUnder, type FieldTable } from '../quantity/figureField'

/** One shape of an area's field notes; `lengths.*` by the names of its method's readings. */
export const PART_FIELDS = {
  size: figureField('area', 'above-zero', 'Size'),
  give: figureField('percent', 'above-zero', 'Uncertainty', { hint: 'how sure it is; else 5 % is taken' }),
  'lengths.*': figureField('span', 'above-zero', 'Length'),
  'list.*': figureField('span', 'above-zero', 'Length'),
  angle: figureField('angle', 'above-zero', 'Angle'),
  'outline.pointError': figureField('length', 'above-zero', 'Error of one position', {
    label: 'A position is off by',
  }),
} as const satisfies FieldTable

/** A stride or wheel tried over a taped length. */
export const COURSE_FIELDS = {
  distance: figureField('length', 'above-zero', 'Taped length'),
  'runs.*.read': figureField('span', 'above-zero', 'Paces counted', { label: 'Run', units: [] }),
} as const satisfies FieldTable

export const NOTES_FIELDS = {
  slope: figureField('percent', 'zero-too', 'Slope'),
} as const satisfies FieldTable

/** Field notes of one area, at their paths in them. */
export const NOTES_TABLE: FieldTable = { ...NOTES_FIELDS, ...fieldsUnder('parts.*', PART_FIELDS) }

export const PICTURE_FIELDS = {
  distance: figureField('length', 'above-zero', 'Distance between the two points', {
    label: 'Taped distance between them',
  }),
} as const satisfies FieldTable

export const AREA_FIELDS = {
  cover: figureField('percent', 'zero-too', 'Cover'),
  cut: figureField('length', 'above-zero', 'Height of cut'),
  thatch: figureField('length', 'zero-too', 'Thatch depth', { label: 'Thatch' }),
  'irrigation.output': figureField('length', 'above-zero', 'Output in an hour'),
  'soilTest.organic': figureField('percent', 'zero-too', 'Organic matter'),
  'grass.*.share': figureField('percent', 'above-zero', 'Share'),
} as const satisfies FieldTable

/** Every figure of an area, at its path in it. */
export const AREA_TABLE: FieldTable = { ...AREA_FIELDS, ...NOTES_TABLE }
