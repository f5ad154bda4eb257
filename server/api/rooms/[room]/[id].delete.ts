import { RemoveSchema } from '#shared/schemas/room'
import { readBodyAs, readId } from '../../../http/readBody'
import { repositoriesOf } from '../../../http/repositoriesOf'
import { roomOf } from '../../../http/roomOf'

export default defineEventHandler(async (event) => {
  const room = roomOf(event)
  const id = readId(event)
  const { version } = await readBodyAs(event, RemoveSchema)
  await room.remove(repositoriesOf(event), id, version)
  return { id }
})
