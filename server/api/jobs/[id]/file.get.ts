import type { JobFile } from '#shared/schemas/job'
import { failure } from '../../../http/failure'
import { readId } from '../../../http/readBody'
import { repositoriesOf } from '../../../http/repositoriesOf'

/** One job as a file: what was entered, and what it came to when it was saved. */
export default defineEventHandler(async (event): Promise<JobFile> => {
  const { jobs } = repositoriesOf(event)
  const job = await jobs.find(readId(event))
  if (!job) throw failure('not-found', 'There is no such job.')
  const applications = []
  for (const { id, document } of job.applications) {
    const sheet = await jobs.sheet(id)
    applications.push({ document, ...(sheet && { request: sheet.request, plan: sheet.plan }) })
  }
  setResponseHeaders(event, {
    'content-type': 'application/json; charset=utf-8',
    'content-disposition': 'attachment; filename="job.json"',
  })
  return {
    format: 'job',
    schema: 1,
    site: job.site,
    purpose: job.purpose,
    plannedFor: job.plannedFor,
    applications,
  }
})
