import * as v from 'valibot'

/** Deleting names the version that was seen, so that nobody deletes what somebody else has just changed. */
export const RemoveSchema = v.strictObject({ version: v.pipe(v.number(), v.integer(), v.minValue(1)) })

/** Rows that people edit, by their name in the address. */
export const LIBRARY_KINDS = [
  'sites',
  'areas',
  'equipment',
  'calibrations',
  'benchTests',
  'products',
  'stations',
  'probes',
  'programs',
  'areaPrograms',
] as const
export type LibraryKind = (typeof LIBRARY_KINDS)[number]
