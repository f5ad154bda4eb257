import { ChangeMemberSchema } from '#shared/schemas/people'
import { readBodyAs, readId } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { changeMember } from '../../../../services/people'

/** Another role for a person of the crew. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  const { role } = await readBodyAs(event, ChangeMemberSchema)
  await changeMember(repositoriesOf(event), id, role)
  return { id, role }
})
