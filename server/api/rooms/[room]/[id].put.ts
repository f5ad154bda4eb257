import { readBodyAs, readId } from '../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../http/repositoriesOf'
import { roomOf } from '../../../http/roomOf'
import { todayFor } from '../../../services/clock'

export default defineEventHandler(async (event) => {
  const room = roomOf(event)
  const id = readId(event)
  return room.save(
    repositoriesOf(event),
    id,
    await readBodyAs(event, room.schema),
    todayFor(organizationOf(event)),
  )
})
