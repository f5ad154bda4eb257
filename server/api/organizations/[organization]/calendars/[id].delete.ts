import { readId } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { revokeCalendar } from '../../../../services/season/calendars'

/** Takes a private address back. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  await revokeCalendar(repositoriesOf(event), id, event.context.person?.id)
  return { id }
})
