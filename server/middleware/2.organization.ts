import { currentDatabase } from '../database/current'
import { COMPUTING_ROUTES } from '../http/computingRoutes'
import { failure } from '../http/failure'
import { organizationsRepository } from '../repositories/organizations'
import { ORGANIZATION_COOKIE } from '../http/organizationCookie'

/**
 * Finds the organization the cookie names (the sample one without a cookie) and puts it on the event. Read
 * here and nowhere else.
 */
export default defineEventHandler(async (event) => {
  const path = event.path.split('?')[0] ?? ''
  if (!path.startsWith('/api/') || COMPUTING_ROUTES.has(path)) return
  const prepared = currentDatabase()
  if (prepared.state() === 'starting')
    throw failure('starting', 'The database is being prepared; try again in a moment.')
  const organizations = organizationsRepository(prepared.database)
  const chosen = getCookie(event, ORGANIZATION_COOKIE)
  const all = await organizations.all()
  const organization =
    all.find(({ id }) => id === chosen) ?? all.find(({ kind }) => kind === 'sample') ?? all[0]
  if (!organization) throw failure('starting', 'There is no organization yet; try again in a moment.')
  event.context.organization = organization
})
