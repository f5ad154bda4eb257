import type { Self } from '#shared/schemas/people'
import { currentDatabase } from '../../database/current'
import { isAtHome } from '../../http/access'
import { peopleRepository } from '../../repositories/people'

/** Who is at this screen. */
export default defineEventHandler(async (event): Promise<Self> => {
  const { person } = event.context
  const people = peopleRepository(currentDatabase().database)
  return {
    person: person ?? null,
    sessions: person ? await people.sessionsOf(person.id) : 0,
    open: isAtHome(event),
  }
})
