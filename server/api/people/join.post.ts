import { JoinSchema } from '#shared/schemas/people'
import { currentDatabase } from '../../database/current'
import { HASHING } from '../../http/hashing'
import { keepOrganization } from '../../http/organizationCookie'
import { beginSession } from '../../http/personOf'
import { readBodyAs } from '../../http/readBody'
import { join } from '../../services/people'

/** Takes up an invitation. */
export default defineEventHandler(async (event) => {
  const input = await readBodyAs(event, JoinSchema)
  const { personId, organizationId } = await join(
    currentDatabase().database,
    HASHING,
    input,
    event.context.person,
  )
  if (input.person) await beginSession(event, personId)
  keepOrganization(event, organizationId)
  setResponseStatus(event, 201)
  return { organizationId }
})
