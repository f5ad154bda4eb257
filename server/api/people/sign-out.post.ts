import { SignOutSchema } from '#shared/schemas/people'
import { currentDatabase } from '../../database/current'
import { readBodyAs } from '../../http/readBody'
import { dropSession } from '../../http/session'
import { peopleRepository } from '../../repositories/people'

/** Ends the session of this device, or those of all. */
export default defineEventHandler(async (event) => {
  const { where } = await readBodyAs(event, SignOutSchema)
  const { person, sessionId } = event.context
  const people = peopleRepository(currentDatabase().database)
  if (person && where === 'everywhere') await people.endSessions(person.id)
  if (sessionId) await people.endSession(sessionId)
  await dropSession(event)
  return { signedOut: where }
})
