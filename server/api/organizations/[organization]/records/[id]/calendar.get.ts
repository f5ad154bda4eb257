import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { sendCalendar } from '../../../../../http/sendCalendar'
import { recordCalendar } from '../../../../../services/season/calendars'

/** What follows from a record, as iCalendar: keep off until, water in by, look again, due again. */
export default defineEventHandler(async (event) =>
  sendCalendar(event, await recordCalendar(repositoriesOf(event), organizationOf(event), readId(event))),
)
