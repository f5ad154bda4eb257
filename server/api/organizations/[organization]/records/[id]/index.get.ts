import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { readRun } from '../../../../../services/appendRunEvents'

export default defineEventHandler(async (event) => {
  const repositories = repositoriesOf(event)
  const record = await repositories.records.find(readId(event))
  const run = record && (await readRun(repositories, record.id))
  if (!run) throw failure('not-found', 'There is no such record.')
  return run
})
