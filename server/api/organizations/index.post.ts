import { NewOrganizationSchema, type Organization } from '#shared/schemas/organization'
import { currentDatabase } from '../../database/current'
import { keepOrganization } from '../../http/organizationCookie'
import { readBodyAs } from '../../http/readBody'
import { organizationsRepository } from '../../repositories/organizations'

export default defineEventHandler(async (event): Promise<Organization> => {
  const input = await readBodyAs(event, NewOrganizationSchema)
  const made = await organizationsRepository(currentDatabase().database).create(
    input,
    Intl.DateTimeFormat().resolvedOptions().timeZone,
  )
  keepOrganization(event, made.id)
  setResponseStatus(event, 201)
  return made
})
