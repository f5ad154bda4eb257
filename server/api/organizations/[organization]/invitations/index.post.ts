import { NewInvitationSchema, type MadeInvitation } from '#shared/schemas/people'
import { failure } from '../../../../http/failure'
import { selfOf } from '../../../../http/personOf'
import { readBodyAs } from '../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { invite } from '../../../../services/people'

/** An invitation; its code is shown this once, to be handed over. */
export default defineEventHandler(async (event): Promise<MadeInvitation> => {
  const input = await readBodyAs(event, NewInvitationSchema)
  if (!organizationOf(event).peopled)
    throw failure('not-ready', 'A crew invites people once it has an owner: become its owner first.')
  const made = await invite(repositoriesOf(event), input, selfOf(event).name)
  setResponseStatus(event, 201)
  return made
})
