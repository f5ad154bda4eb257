import * as v from 'valibot'
import { Uuid } from '#shared/schemas/texts'
import { currentDatabase } from '../database/current'
import { COMPUTING_ROUTES } from '../http/computingRoutes'
import { failure } from '../http/failure'
import { organizationsRepository } from '../repositories/organizations'
import { ORGANIZATION_COOKIE } from '../http/organizationCookie'

/** What belongs to a crew lies under its id; these words there are not ids. */
const CREW_PATH = /^\/api\/organizations\/([^/]+)\/./
const LISTS = '/api/organizations'

/**
 * Finds the organization a request is for and puts it on the event: the one its path names, and no other.
 * Only the list of crews looks at the cookie, which remembers which one was open last.
 */
export default defineEventHandler(async (event) => {
  const path = event.path.split('?')[0] ?? ''
  if (!path.startsWith('/api/') || COMPUTING_ROUTES.has(path)) return
  const prepared = currentDatabase()
  if (prepared.state() === 'starting')
    throw failure('starting', 'The database is being prepared; try again in a moment.')
  const named = CREW_PATH.exec(path)?.[1]
  if (named === undefined && path !== LISTS) return
  const organizations = organizationsRepository(prepared.database)
  if (named !== undefined) {
    const organization = v.is(Uuid, named) ? await organizations.find(named.toLowerCase()) : undefined
    if (!organization) throw failure('not-found', 'There is no such crew: it may have been opened afresh.')
    event.context.organization = organization
    return
  }
  const all = await organizations.all()
  const last = getCookie(event, ORGANIZATION_COOKIE)
  const open = all.find(({ id }) => id === last) ?? all.find(({ kind }) => kind === 'sample') ?? all[0]
  if (!open) throw failure('starting', 'There is no organization yet; try again in a moment.')
  event.context.organization = open
})
