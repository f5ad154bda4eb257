import { readId } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { changeMember } from '../../../../services/people'

/** A person leaves the crew; their name stays on what they did. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  await changeMember(repositoriesOf(event), id, 'leaves')
  return { id }
})
