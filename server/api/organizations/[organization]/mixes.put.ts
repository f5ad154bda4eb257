import { SaveMixesSchema, type Organization } from '#shared/schemas/organization'
import { readBodyAs } from '../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../http/repositoriesOf'
import { saveOrganization } from '../../../services/saveOrganization'

/** What the crew found of pairs of products. */
export default defineEventHandler(async (event): Promise<Organization> => {
  const { version, mixes } = await readBodyAs(event, SaveMixesSchema)
  const { name, licence, units, timeZone, settings } = organizationOf(event)
  return saveOrganization(repositoriesOf(event), {
    version,
    name,
    licence,
    units,
    timeZone,
    settings: { ...settings, local: [...settings.local], mixes },
  })
})
