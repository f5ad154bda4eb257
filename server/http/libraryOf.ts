import type { H3Event } from 'h3'
import { LIBRARY_KINDS, type LibraryKind } from '#shared/schemas/library'
import { LIBRARY, type LibraryRows } from '../services/library'
import { failure } from './failure'

/** The kind of row an address names; any other name is an address that does not exist. */
export function libraryKindOf(event: H3Event): LibraryRows {
  const name = event.context.params?.kind ?? ''
  const entry = (LIBRARY_KINDS as readonly string[]).includes(name) ? LIBRARY[name as LibraryKind] : undefined
  if (!entry) throw failure('not-found', 'There is nothing at this address.')
  return entry
}
