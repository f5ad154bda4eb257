import { SavePlanSchema } from '#shared/schemas/ground'
import { readBodyAs, readId } from '../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../http/repositoriesOf'
import { todayFor } from '../../../services/clock'
import { savePlan } from '../../../services/savePlan'

export default defineEventHandler(async (event) => {
  const id = readId(event)
  return savePlan(
    repositoriesOf(event),
    id,
    await readBodyAs(event, SavePlanSchema),
    todayFor(organizationOf(event)),
  )
})
