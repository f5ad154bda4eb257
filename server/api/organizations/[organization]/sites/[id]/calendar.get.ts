import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { siteCalendar } from '../../../../../services/season/calendars'
import { sendCalendar } from '../../../../../http/sendCalendar'

/** What comes on a site as an iCalendar file for its client. */
export default defineEventHandler(async (event) =>
  sendCalendar(event, await siteCalendar(repositoriesOf(event), organizationOf(event), readId(event))),
)
