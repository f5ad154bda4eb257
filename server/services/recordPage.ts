import * as v from 'valibot'
import { Uuid } from '#shared/schemas/application'
import type { RecordPage } from '#shared/schemas/run'
import { failure } from '../http/failure'
import type { Cursor, Repositories } from '../repositories/forOrganization'

const PAGE = 50
const CursorSchema = v.strictObject({ at: v.pipe(v.string(), v.isoTimestamp()), id: Uuid })

/** A page of records, newest first; `after` is the `next` of the page before. */
export async function recordPage(repositories: Repositories, { after }: { readonly after?: unknown }): Promise<RecordPage> {
  const rows = await repositories.records.page(PAGE + 1, after === undefined ? undefined : readCursor(after))
  const page = rows.slice(0, PAGE)
  const last = page.at(-1)
  return { rows: page, next: rows.length > PAGE && last ? Buffer.from(JSON.stringify({ at: last.finishedAt, id: last.id })).toString('base64url') : null }
}

function readCursor(after: unknown): Cursor {
  try {
    return v.parse(CursorSchema, JSON.parse(Buffer.from(String(after), 'base64url').toString()))
  }
  catch {
    throw failure('invalid', [{ path: 'after', message: 'must be the `next` of the page before' }])
  }
}
