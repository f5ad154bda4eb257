import * as v from 'valibot'
import { Day, Instant, Uuid } from '#core/shape/texts'
import { failure } from '../http/failure'
import { isStorable } from '../http/storable'
import type { Cursor } from '../repositories/scope'

const placeOf = (at: v.GenericSchema<string>) =>
  v.strictObject({ at: v.pipe(v.union([v.literal(''), at]), v.check(isStorable)), id: Uuid })
const CURSORS = {
  instant: placeOf(Instant),
  day: placeOf(Day),
  word: placeOf(v.pipe(v.string(), v.maxLength(400))),
} as const

/** Where the next page begins, in a form for the address. */
const writeCursor = (cursor: Cursor): string => Buffer.from(JSON.stringify(cursor)).toString('base64url')

/** @param kind what the place of the list is: an instant or day must be one, a word may be anything */
export function readCursor(after: unknown, kind: 'instant' | 'day' | 'word'): Cursor | undefined {
  if (after === undefined || after === '') return undefined
  try {
    return v.parse(CURSORS[kind], JSON.parse(Buffer.from(String(after), 'base64url').toString()))
  } catch {
    throw failure('invalid', [{ path: 'after', message: 'must be the `next` of the page before' }])
  }
}

/** Cuts a list that was read one row too long into its page and the place of the next. */
export function pageOf<Row extends { readonly id: string }>(
  rows: readonly Row[],
  limit: number,
  placeOf: (row: Row) => string,
): { readonly rows: readonly Row[]; readonly next: string | null } {
  const page = rows.slice(0, limit)
  const last = page.at(-1)
  return {
    rows: page,
    next: rows.length > limit && last ? writeCursor({ at: placeOf(last), id: last.id }) : null,
  }
}
