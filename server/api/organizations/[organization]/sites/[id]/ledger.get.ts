import { daysAfter } from '#core/calendar/daysBetween'
import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { todayFor } from '../../../../../services/clock'
import { LEDGER_DAYS } from '../../../../../services/jobContext'

/** What was put down on a site, newest first. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  const { sites, ledger } = repositoriesOf(event)
  if (!(await sites.find(id))) throw failure('not-found', 'There is no such site.')
  const today = todayFor(organizationOf(event))
  return ledger.ofSite(id, daysAfter(today, -LEDGER_DAYS), today)
})
