import { NewOrganizationSchema, type Organization } from '#shared/schemas/organization'
import { currentDatabase } from '../../database/current'
import { keepOrganization } from '../../http/organizationCookie'
import { failure } from '../../http/failure'
import { readBodyAs } from '../../http/readBody'
import { organizationsRepository } from '../../repositories/organizations'

/** Anybody who reaches the server can make one: so many, and no more. */
const MOST_CREWS = 5000

export default defineEventHandler(async (event): Promise<Organization> => {
  const input = await readBodyAs(event, NewOrganizationSchema)
  const organizations = organizationsRepository(currentDatabase().database)
  if ((await organizations.count()) >= MOST_CREWS && !(await organizations.find(input.id)))
    throw failure('locked', `This server keeps at most ${MOST_CREWS} crews.`)
  const made = await organizations.create(input, Intl.DateTimeFormat().resolvedOptions().timeZone)
  keepOrganization(event, made.id)
  setResponseStatus(event, 201)
  return made
})
