import { SaveOrganizationSchema, type Organization } from '#shared/schemas/organization'
import { sameContent } from '#core/sameContent'
import { currentDatabase } from '../../../database/current'
import { failure } from '../../../http/failure'
import { readBodyAs } from '../../../http/readBody'
import { organizationOf } from '../../../http/repositoriesOf'
import { organizationsRepository } from '../../../repositories/organizations'

/** Name, licence, clock and house rules of the organization in hand. */
export default defineEventHandler(async (event): Promise<Organization> => {
  const input = await readBodyAs(event, SaveOrganizationSchema)
  const { id } = organizationOf(event)
  const organizations = organizationsRepository(currentDatabase().database)
  const written = await organizations.update(id, input)
  const stored = await organizations.find(id)
  if (!stored) throw failure('not-found', 'There is no such crew.')
  const { version: _, ...entered } = input
  if (!written && !sameContent({ ...stored, ...entered }, stored))
    throw failure('changed-elsewhere', 'These settings were changed elsewhere since you opened them.', stored)
  return stored
})
