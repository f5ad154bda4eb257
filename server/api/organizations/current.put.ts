import { ChooseOrganizationSchema, type Organization } from '#shared/schemas/organization'
import { currentDatabase } from '../../database/current'
import { failure } from '../../http/failure'
import { keepOrganization } from '../../http/organizationCookie'
import { readBodyAs } from '../../http/readBody'
import { organizationsRepository } from '../../repositories/organizations'

export default defineEventHandler(async (event): Promise<Organization> => {
  const { id } = await readBodyAs(event, ChooseOrganizationSchema)
  const chosen = await organizationsRepository(currentDatabase().database).find(id)
  if (!chosen) throw failure('not-found', 'There is no such crew.')
  keepOrganization(event, chosen.id)
  return chosen
})
