import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { siteHours } from '../../../../../services/season/siteHours'

/** What its station tells from yesterday to tomorrow, hour by hour. */
export default defineEventHandler(async (event) => {
  const repositories = repositoriesOf(event)
  const site = await repositories.sites.find(readId(event))
  if (!site) throw failure('not-found', 'There is no such site.')
  return siteHours(repositories, organizationOf(event), site)
})
