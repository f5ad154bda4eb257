import type { H3Event } from 'h3'
import type { Organization } from '#shared/schemas/organization'
import { currentDatabase } from '../database/current'
import { forOrganization, type Repositories } from '../repositories/forOrganization'

/** The organization the middleware found for this request. */
export function organizationOf(event: H3Event): Organization {
  const { organization } = event.context
  if (!organization)
    throw new Error('a route asked for the organization where the middleware does not look for one')
  return organization
}

/** The repositories of this request's organization. */
export const repositoriesOf = (event: H3Event): Repositories =>
  forOrganization(currentDatabase().database, organizationOf(event).id, undefined, event.context.person)
