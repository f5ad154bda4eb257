import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { todayFor } from '../../../../../services/clock'
import { plannedOnSite } from '../../../../../services/jobContext'
import { houseOf } from '../../../../../services/houseOf'

/** What planned jobs are going to put down on a site; `job` names one that is left out. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  const repositories = repositoriesOf(event)
  if (!(await repositories.sites.find(id))) throw failure('not-found', 'There is no such site.')
  const organization = organizationOf(event)
  const { job } = getQuery(event)
  return plannedOnSite(
    repositories,
    id,
    typeof job === 'string' ? job : '',
    todayFor(organization),
    houseOf(organization),
  )
})
