import { SaveOrganizationSchema, type Organization } from '#shared/schemas/organization'
import { readBodyAs } from '../../../http/readBody'
import { repositoriesOf } from '../../../http/repositoriesOf'
import { saveOrganization } from '../../../services/saveOrganization'

/** Name, licence, clock and house rules of the organization in hand. */
export default defineEventHandler(async (event): Promise<Organization> => {
  const input = await readBodyAs(event, SaveOrganizationSchema)
  return saveOrganization(repositoriesOf(event), input)
})
