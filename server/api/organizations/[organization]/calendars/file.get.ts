import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { sendCalendar } from '../../../../http/sendCalendar'
import { crewCalendar } from '../../../../services/season/calendars'

/** Jobs, repeats and steps of the whole crew as an iCalendar file. */
export default defineEventHandler(async (event) =>
  sendCalendar(event, await crewCalendar(repositoriesOf(event), organizationOf(event))),
)
