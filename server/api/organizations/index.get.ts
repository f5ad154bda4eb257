import type { OrganizationChoice } from '#shared/schemas/organization'
import { currentDatabase } from '../../database/current'
import { crewsOf } from '../../http/crewsOf'
import { failure } from '../../http/failure'
import { ORGANIZATION_COOKIE } from '../../http/organizationCookie'
import { peopleRepository } from '../../repositories/people'

/** The crews that may be opened; the cookie remembers which one was open last. */
export default defineEventHandler(async (event): Promise<OrganizationChoice> => {
  const { person } = event.context
  const all = await crewsOf(event)
  const last = getCookie(event, ORGANIZATION_COOKIE)
  const current =
    all.find(({ id }) => id === last) ??
    all.find(({ peopled }) => peopled) ??
    all.find(({ kind }) => kind === 'sample') ??
    all[0]
  if (!current)
    throw person
      ? failure('not-found', 'You belong to no crew: ask for an invitation.')
      : failure('sign-in', 'Sign in first.')
  const role =
    person && current.peopled
      ? ((await peopleRepository(currentDatabase().database).roleIn(current.id, person.id)) ?? 'viewer')
      : 'owner'
  return { current, role, all: all.map(({ id, name, kind }) => ({ id, name, kind })) }
})
