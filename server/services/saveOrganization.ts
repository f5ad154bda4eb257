import { sameContent } from '#core/sameContent'
import type { Organization, SaveOrganization } from '#shared/schemas/organization'
import { currentDatabase } from '../database/current'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { organizationsRepository } from '../repositories/organizations'

/**
 * Settings of a crew over the version they were read at; a repeat of what is stored succeeds, a stale version
 * fails with `changed-elsewhere` and what is there.
 */
export async function saveOrganization(
  { history }: Repositories,
  id: string,
  input: SaveOrganization,
): Promise<Organization> {
  const organizations = organizationsRepository(currentDatabase().database)
  const written = await organizations.update(id, input)
  if (written) await history.note('organizations', id, 'changed')
  const stored = await organizations.find(id)
  if (!stored) throw failure('not-found', 'There is no such crew.')
  const { version: _, ...entered } = input
  if (!written && !sameContent({ ...stored, ...entered }, stored))
    throw failure('changed-elsewhere', 'These settings were changed elsewhere since you opened them.', stored)
  return stored
}
