import { failure } from '../../../../http/failure'
import { readId } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'

export default defineEventHandler(async (event) => {
  const job = await repositoriesOf(event).jobs.find(readId(event))
  if (!job) throw failure('not-found', 'There is no such job.')
  return job
})
