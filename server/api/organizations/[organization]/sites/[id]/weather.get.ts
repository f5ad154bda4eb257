import * as v from 'valibot'
import { BlankOrDay } from '#shared/schemas/texts'
import { workDay } from '#core/calendar/workDay'
import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { todayFor } from '../../../../../services/clock'
import { siteConditions } from '../../../../../services/season/siteConditions'

/** What its station says of a day; null where it says nothing. */
export default defineEventHandler(async (event) => {
  const on = v.safeParse(BlankOrDay, getQuery(event).on ?? '')
  if (!on.success) throw failure('invalid', [{ path: 'on', message: 'must be a day, YYYY-MM-DD' }])
  const repositories = repositoriesOf(event)
  const site = await repositories.sites.find(readId(event))
  if (!site) throw failure('not-found', 'There is no such site.')
  const day = workDay(on.output, todayFor(organizationOf(event)))
  return (await siteConditions(repositories, site, day)) ?? null
})
