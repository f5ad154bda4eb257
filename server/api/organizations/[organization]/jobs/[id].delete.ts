import { RemoveSchema } from '#shared/schemas/library'
import { failure } from '../../../../http/failure'
import { readBodyAs, readId } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { removeRow } from '../../../../services/saveRow'

/** What has been started is history: it stays. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  const { version } = await readBodyAs(event, RemoveSchema)
  const repositories = repositoriesOf(event)
  await repositories.transaction(async ({ jobs }) => {
    const job = await jobs.find(id, 'lock')
    if (job?.state === 'running' || job?.state === 'done')
      throw failure('locked', 'This job has been started: it stays on record.', job)
    await removeRow(jobs, id, version, 'job')
  })
  return { id }
})
