import * as v from 'valibot'
import { Uuid } from '#shared/schemas/texts'
import { failure } from '../http/failure'
import type { Cursor } from '../repositories/scope'

const CursorSchema = v.strictObject({ at: v.pipe(v.string(), v.maxLength(400)), id: Uuid })

/** Where the next page begins, in a form for the address. */
const writeCursor = (cursor: Cursor): string => Buffer.from(JSON.stringify(cursor)).toString('base64url')

/** @param kind what the place of the list is: an instant or day must be one, a word may be anything */
export function readCursor(after: unknown, kind: 'instant' | 'day' | 'word'): Cursor | undefined {
  if (after === undefined || after === '') return undefined
  try {
    const cursor = v.parse(CursorSchema, JSON.parse(Buffer.from(String(after), 'base64url').toString()))
    if (kind !== 'word' && cursor.at !== '' && Number.isNaN(Date.parse(cursor.at)))
      throw new Error('not a time')
    return cursor
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
