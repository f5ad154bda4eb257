import { DeleteCrewSchema } from '#shared/schemas/people'
import { readBodyAs } from '../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { deleteCrew } from '../../../../services/wholeCrew'

/** The crew with everything it ever wrote down, gone for good. */
export default defineEventHandler(async (event) => {
  const { name } = await readBodyAs(event, DeleteCrewSchema)
  const organization = organizationOf(event)
  await deleteCrew(repositoriesOf(event), organization, name)
  return { id: organization.id }
})
