import { RemoveSchema } from '#shared/schemas/library'
import { readBodyAs, readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { libraryKindOf } from '../../../../../http/libraryOf'

export default defineEventHandler(async (event) => {
  const rows = libraryKindOf(event)
  const id = readId(event)
  const { version } = await readBodyAs(event, RemoveSchema)
  await repositoriesOf(event).transaction((inside) => rows.remove(inside, id, version))
  return { id }
})
