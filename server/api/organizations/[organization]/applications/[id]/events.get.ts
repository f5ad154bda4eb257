import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { readRun } from '../../../../../services/appendRunEvents'

export default defineEventHandler(async (event) => {
  const run = await readRun(repositoriesOf(event), readId(event))
  if (!run) throw failure('not-found', 'There is no such application.')
  return run
})
