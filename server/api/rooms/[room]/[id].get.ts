import { failure } from '../../../http/failure'
import { readId } from '../../../http/readBody'
import { repositoriesOf } from '../../../http/repositoriesOf'
import { roomOf } from '../../../http/roomOf'

export default defineEventHandler(async (event) => {
  const room = roomOf(event)
  const row = await room.find(repositoriesOf(event), readId(event))
  if (!row) throw failure('not-found', `There is no such ${room.what}.`)
  return row
})
