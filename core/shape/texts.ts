import * as v from 'valibot'

/** The largest that an integer column holds. */
const LARGEST_INTEGER = 2_147_483_647

export const Uuid = v.pipe(v.string(), v.uuid('must be a UUID'))
/** A line of text. */
export const Line = v.pipe(v.string(), v.maxLength(200, 'is too long'))
/** A name that must be there. */
export const Name = v.pipe(
  v.string(),
  v.trim(),
  v.minLength(1, 'A name is still missing.'),
  v.maxLength(200, 'is too long'),
)
/** Notes of some length. */
export const Notes = v.pipe(v.string(), v.maxLength(4000, 'is too long'))
/** 31 June has the form of a day and is none. */
function isRealDay(day: string): boolean {
  const time = Date.parse(`${day}T00:00:00Z`)
  return !Number.isNaN(time) && new Date(time).toISOString().startsWith(day)
}
/** No lawn was treated before, none is planned after; databases know fewer years than four digits do. */
const FIRST_YEAR = '1900'
const LAST_YEAR = '2199'
const isLikelyYear = (text: string) => text.slice(0, 4) >= FIRST_YEAR && text.slice(0, 4) <= LAST_YEAR
const YEARS = `must lie between ${FIRST_YEAR} and ${LAST_YEAR}`
export const Day = v.pipe(
  v.string(),
  v.isoDate('must be a day, YYYY-MM-DD'),
  v.check(isRealDay, 'no such day'),
  v.check(isLikelyYear, YEARS),
)
export const Instant = v.pipe(
  v.string(),
  v.isoTimestamp('must be an instant, 2026-05-06T14:00:00Z'),
  v.check((text) => !Number.isNaN(Date.parse(text)), 'no such instant'),
  v.check(isLikelyYear, YEARS),
)
export const BlankOrDay = v.union([v.literal(''), Day])
/** The version a row was read at; 0 for a new one. */
export const Version = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(LARGEST_INTEGER))
/** What a copy was made from. */
export const SourceSchema = v.strictObject({
  id: Uuid,
  version: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(LARGEST_INTEGER)),
})
