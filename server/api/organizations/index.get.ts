import type { OrganizationChoice } from '#shared/schemas/organization'
import { currentDatabase } from '../../database/current'
import { organizationOf } from '../../http/repositoriesOf'
import { organizationsRepository } from '../../repositories/organizations'

export default defineEventHandler(async (event): Promise<OrganizationChoice> => {
  const all = await organizationsRepository(currentDatabase().database).all()
  return { current: organizationOf(event), all: all.map(({ id, name, kind }) => ({ id, name, kind })) }
})
