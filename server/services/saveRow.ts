import { sameContent } from '#core/sameContent'
import { failure } from '../http/failure'
import type { EditableRows } from '../repositories/editableRows'

/** What a stored row tells of itself; the rest is what a person entered. */
export interface StoredRow {
  readonly id: string
  readonly version: number
  readonly updatedAt: string
}

/**
 * Saves a row as it was entered, over the version it was read at. A repeat of what is stored succeeds; a
 * stale version fails with `changed-elsewhere` and the row that is there. Run it inside a transaction.
 * @param input as sent, with its version; @param derived columns computed from it
 */
export async function saveRow<Row extends StoredRow, Fields extends object>(
  rows: EditableRows<Row, Fields>,
  id: string,
  input: { readonly version: number } & object,
  derived: object,
  what: string,
): Promise<{ readonly row: Row; readonly written: boolean }> {
  const { version, ...entered } = input
  const stored = await rows.find(id, 'lock')
  if (stored && sameContent({ ...stored, ...entered }, stored)) return { row: stored, written: false }
  if (!stored && (version > 0 || (await rows.findDeleted(id))))
    throw failure('not-found', `This ${what} was deleted elsewhere: bring it back first, or make it anew.`)
  if ((stored?.version ?? 0) !== version)
    throw failure('changed-elsewhere', `This ${what} was changed elsewhere since you opened it.`, stored)
  const fields = { ...entered, ...derived } as Fields
  if (stored) await rows.update(id, version, fields)
  else await rows.insert(id, fields)
  const row = await rows.find(id)
  if (!row) throw new Error(`${what} ${id} vanished while it was saved`)
  return { row, written: true }
}

/**
 * Deletes so that it can be brought back; the version guards against deleting what somebody has just changed.
 */
export async function removeRow<Row extends StoredRow>(
  rows: Pick<EditableRows<Row, never>, 'find' | 'remove'>,
  id: string,
  version: number,
  what: string,
): Promise<void> {
  if (await rows.remove(id, version)) return
  const stored = await rows.find(id)
  if (!stored) throw failure('not-found', `There is no such ${what}.`)
  throw failure('changed-elsewhere', `This ${what} was changed elsewhere since you opened it.`, stored)
}
