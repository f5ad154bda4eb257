import { failure } from '../../../../../../http/failure'
import { readId } from '../../../../../../http/readBody'
import { repositoriesOf } from '../../../../../../http/repositoriesOf'
import { libraryKindOf } from '../../../../../../http/libraryOf'

/** Brings back what was deleted; a repeat changes nothing. */
export default defineEventHandler(async (event) => {
  const rows = libraryKindOf(event)
  const id = readId(event)
  const repositories = repositoriesOf(event)
  await repositories.transaction((inside) => rows.restore(inside, id))
  const row = await rows.find(repositories, id)
  if (!row) throw failure('not-found', `There is no such ${rows.what}.`)
  return row
})
