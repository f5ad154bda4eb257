import { daysAfter } from '#core/calendar/daysBetween'
import type { Organization } from '#shared/schemas/organization'
import type { RecordPage, RecordQuery, RecordRow } from '#shared/schemas/run'
import type { Repositories } from '../repositories/forOrganization'
import { recordPlace, type RecordFilter } from '../repositories/records'
import type { Cursor } from '../repositories/scope'
import { startOfDay } from './clock'
import { pageOf, readCursor } from './cursor'

const PAGE = 50
/** An export reads this many at a time, so that a hundred thousand never stand in memory. */
const EXPORT_PAGE = 500

/** A page of what is asked for; `after` is the `next` of the page before. */
export async function recordPage(
  repositories: Repositories,
  organization: Organization,
  { after: next, ...asked }: RecordQuery & { readonly after?: string | undefined },
): Promise<RecordPage> {
  const after = readCursor(next, asked.sort === 'site' ? 'word' : 'instant')
  const rows = await repositories.records.page(filterOf(asked, organization), { limit: PAGE + 1, after })
  return pageOf(rows, PAGE, (row) => recordPlace(row, asked.sort))
}

/** Every record that is asked for, a few hundred at a time. */
export async function* allRecords(
  repositories: Repositories,
  organization: Organization,
  asked: RecordQuery,
): AsyncGenerator<readonly RecordRow[]> {
  const filter = filterOf(asked, organization)
  let after: Cursor | undefined
  for (;;) {
    const rows = await repositories.records.page(filter, { limit: EXPORT_PAGE, after })
    if (rows.length > 0) yield rows
    const last = rows.at(-1)
    if (rows.length < EXPORT_PAGE || !last) return
    after = { at: recordPlace(last, asked.sort), id: last.id }
  }
}

function filterOf({ from, to, ...asked }: RecordQuery, { timeZone }: Organization): RecordFilter {
  return {
    ...asked,
    since: from && startOfDay(from, timeZone),
    before: to && startOfDay(daysAfter(to, 1), timeZone),
  }
}
