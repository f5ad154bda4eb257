import { NewCalendarSchema } from '#shared/schemas/calendar'
import { readBodyAs } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { makeCalendar } from '../../../../services/season/calendars'

/** A private address, told this once. */
export default defineEventHandler(async (event) => {
  const input = await readBodyAs(event, NewCalendarSchema)
  const made = await makeCalendar(repositoriesOf(event), input, event.context.person?.id)
  setResponseStatus(event, 201)
  return made
})
