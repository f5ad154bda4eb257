import { FirstOwnerSchema } from '#shared/schemas/people'
import { currentDatabase } from '../../database/current'
import { HASHING } from '../../http/hashing'
import { keepOrganization } from '../../http/organizationCookie'
import { beginSession } from '../../http/personOf'
import { readBodyAs } from '../../http/readBody'
import { makeFirstOwner } from '../../services/people'

/** The first owner of a crew that had no people. */
export default defineEventHandler(async (event) => {
  const input = await readBodyAs(event, FirstOwnerSchema)
  await makeFirstOwner(currentDatabase().database, HASHING, input)
  await beginSession(event, input.id)
  keepOrganization(event, input.organizationId)
  setResponseStatus(event, 201)
  return { id: input.id }
})
