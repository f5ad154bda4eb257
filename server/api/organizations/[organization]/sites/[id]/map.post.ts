import { SaveSiteMapSchema } from '#shared/schemas/ground'
import { readBodyAs, readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { todayFor } from '../../../../../services/clock'
import { saveSiteMap } from '../../../../../services/saveSiteMap'

export default defineEventHandler(async (event) => {
  const id = readId(event)
  return saveSiteMap(
    repositoriesOf(event),
    id,
    await readBodyAs(event, SaveSiteMapSchema),
    todayFor(organizationOf(event)),
  )
})
