import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'

export default defineEventHandler(async (event) => {
  const id = readId(event)
  const job = await repositoriesOf(event).transaction(async ({ jobs }) => {
    await jobs.restore(id)
    return jobs.find(id)
  })
  if (!job) throw failure('not-found', 'There is no such job.')
  return job
})
