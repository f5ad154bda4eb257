import { CopySiteSchema } from '#shared/schemas/ground'
import { readBodyAs, readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { todayFor } from '../../../../../services/clock'
import { copySite } from '../../../../../services/copySite'

export default defineEventHandler(async (event) => {
  const id = readId(event)
  return copySite(
    repositoriesOf(event),
    id,
    await readBodyAs(event, CopySiteSchema),
    todayFor(organizationOf(event)),
  )
})
