import { NewRunEventsSchema } from '#shared/schemas/run'
import { readBodyAs, readId } from '../../../http/readBody'
import { repositoriesOf } from '../../../http/repositoriesOf'
import { appendRunEvents } from '../../../services/appendRunEvents'

export default defineEventHandler(async (event) => {
  const id = readId(event)
  const { events } = await readBodyAs(event, NewRunEventsSchema)
  return appendRunEvents(repositoriesOf(event), id, events)
})
