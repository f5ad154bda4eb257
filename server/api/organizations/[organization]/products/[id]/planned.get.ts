import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { todayFor } from '../../../../../services/clock'
import { plannedUse } from '../../../../../services/jobContext'
import { houseOf } from '../../../../../services/houseOf'

/** What planned jobs are going to use of a product. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  const repositories = repositoriesOf(event)
  if (!(await repositories.products.find(id))) throw failure('not-found', 'There is no such product.')
  const organization = organizationOf(event)
  return plannedUse(repositories, id, todayFor(organization), houseOf(organization))
})
