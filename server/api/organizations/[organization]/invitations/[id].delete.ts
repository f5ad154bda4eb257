import { readId } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'

export default defineEventHandler(async (event) => {
  const id = readId(event)
  await repositoriesOf(event).members.withdraw(id)
  return { id }
})
