import type { Organization } from '#shared/schemas/organization'
import { currentDatabase } from '../../database/current'
import { isAtHome } from '../../http/access'
import { failure } from '../../http/failure'
import { keepOrganization } from '../../http/organizationCookie'
import { organizationsRepository } from '../../repositories/organizations'
import { reopenSample } from '../../services/seedSample'

/** Opens the sample afresh on its morning; the old one is kept, but no longer offered. */
export default defineEventHandler(async (event): Promise<Organization> => {
  if (!event.context.person && !isAtHome(event)) throw failure('sign-in', 'Sign in first.')
  const { database } = currentDatabase()
  await reopenSample(database)
  const open = await organizationsRepository(database).openTo([], 'sample')
  const sample = open.find(({ kind }) => kind === 'sample')
  if (!sample) throw failure('starting', 'There is no sample; try again in a moment.')
  keepOrganization(event, sample.id)
  setResponseStatus(event, 201)
  return sample
})
