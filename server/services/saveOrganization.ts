import { sameContent } from '#core/sameContent'
import type { Organization, SaveOrganization } from '#shared/schemas/organization'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'

/**
 * Settings of a crew over the version they were read at; a repeat of what is stored succeeds, a stale version
 * fails with `changed-elsewhere` and what is there.
 */
export const saveOrganization = (
  repositories: Repositories,
  input: SaveOrganization,
): Promise<Organization> =>
  repositories.transaction(async ({ settings }) => {
    const written = await settings.update(input)
    const stored = await settings.find()
    if (!stored) throw failure('not-found', 'There is no such crew.')
    const { version: _, ...entered } = input
    if (!written && !sameContent({ ...stored, ...entered }, stored))
      throw failure(
        'changed-elsewhere',
        'These settings were changed elsewhere since you opened them.',
        stored,
      )
    return stored
  })
