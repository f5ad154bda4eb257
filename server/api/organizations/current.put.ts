import { ChooseOrganizationSchema, type Organization } from '#shared/schemas/organization'
import { crewsOf } from '../../http/crewsOf'
import { failure } from '../../http/failure'
import { keepOrganization } from '../../http/organizationCookie'
import { readBodyAs } from '../../http/readBody'

export default defineEventHandler(async (event): Promise<Organization> => {
  const { id } = await readBodyAs(event, ChooseOrganizationSchema)
  const chosen = (await crewsOf(event)).find((crew) => crew.id === id)
  if (!chosen) throw failure('not-found', 'There is no such crew.')
  keepOrganization(event, chosen.id)
  return chosen
})
