import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { libraryKindOf } from '../../../../../http/libraryOf'

export default defineEventHandler(async (event) => {
  const rows = libraryKindOf(event)
  const row = await rows.find(repositoriesOf(event), readId(event))
  if (!row) throw failure('not-found', `There is no such ${rows.what}.`)
  return row
})
