import { failure } from '../../../../http/failure'
import { readId } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { roomOf } from '../../../../http/roomOf'

/** Brings back what was deleted; a repeat changes nothing. */
export default defineEventHandler(async (event) => {
  const room = roomOf(event)
  const id = readId(event)
  const repositories = repositoriesOf(event)
  await room.restore(repositories, id)
  const row = await room.find(repositories, id)
  if (!row) throw failure('not-found', `There is no such ${room.what}.`)
  return row
})
