import { currentDatabase } from '../../database/current'
import { failure } from '../../http/failure'
import { sendCalendar } from '../../http/sendCalendar'
import { calendarAt } from '../../services/season/calendars'

const SECRET = /^([\w-]{32})\.ics$/

/** A calendar at its private address: whoever has it may read it, without signing in. */
export default defineEventHandler(async (event) => {
  const [, secret] = SECRET.exec(getRouterParam(event, 'secret') ?? '') ?? []
  if (secret === undefined) throw failure('not-found', 'There is no calendar at this address.')
  return sendCalendar(event, await calendarAt(currentDatabase().database, secret))
})
