import * as v from 'valibot'
import { Uuid } from '#core/shape/texts'
import { currentDatabase } from '../database/current'
import { COMPUTING_PATHS } from '../endpoints/all'
import { isAtHome } from '../http/access'
import { failure } from '../http/failure'
import { dropSession, sessionIdOf } from '../http/session'
import { organizationsRepository } from '../repositories/organizations'
import { peopleRepository } from '../repositories/people'

/** What belongs to a crew lies under its id; these words there are not ids. */
const CREW_PATH = /^\/api\/organizations\/([^/]+)\/./
/** Whoever is not signed in yet may ask here. */
const FOR_ANYBODY = /^\/api\/(health|people\/|organizations$|calendar\/)/

/** A session ends when it was not used for so long, ms; how often its use is written down. */
const SESSION_MS = 30 * 24 * 3600 * 1000
const SEEN_EVERY_MS = 10 * 60 * 1000

/**
 * Finds out who asks, and the organization a request is for: the one its path names, and no other. A crew
 * with people is there for them alone, each as far as their role goes; one without is open to whoever sits at
 * this machine. To everybody else a crew does not exist.
 */
export default defineEventHandler(async (event) => {
  const path = event.path.split('?')[0] ?? ''
  if (!path.startsWith('/api/') || COMPUTING_PATHS.has(path)) return
  const prepared = currentDatabase()
  if (prepared.state() === 'starting')
    throw failure('starting', 'The database is being prepared; try again in a moment.')
  const people = peopleRepository(prepared.database)
  await recognize()
  const { person } = event.context
  const [, named] = CREW_PATH.exec(path) ?? []
  if (named === undefined) {
    if (!person && !isAtHome(event) && !FOR_ANYBODY.test(path)) throw failure('sign-in', 'Sign in first.')
    return
  }
  const organization = v.is(Uuid, named)
    ? await organizationsRepository(prepared.database).find(named.toLowerCase())
    : undefined
  if (!person && !(isAtHome(event) && organization?.peopled !== true))
    throw failure('sign-in', 'Sign in first: this crew is open to its people only.')
  const role = organization && (await roleIn(organization))
  if (!organization || !role)
    throw failure('not-found', 'There is no such crew: it may have been opened afresh, or you left it.')
  event.context.organization = organization
  event.context.role = role

  /** Who the session of the cookie belongs to, while it lasts. */
  async function recognize(): Promise<void> {
    const sessionId = await sessionIdOf(event)
    const session = sessionId && v.is(Uuid, sessionId) ? await people.session(sessionId) : undefined
    if (!session) return
    const idle = Date.now() - session.seenAt.getTime()
    if (idle > SESSION_MS) {
      await people.endSession(session.id)
      await dropSession(event)
      return
    }
    if (idle > SEEN_EVERY_MS) await people.seen(session.id)
    event.context.person = await people.find(session.personId)
    event.context.sessionId = session.id
  }

  async function roleIn({ id, kind, peopled }: NonNullable<typeof organization>) {
    if (peopled) return person && people.roleIn(id, person.id)
    // The sample is for everybody who may come in at all; a crew of nobody only for who sits here.
    return isAtHome(event) || kind === 'sample' ? ('owner' as const) : undefined
  }
})
