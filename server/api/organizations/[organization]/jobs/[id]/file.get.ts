import { workDay } from '#core/calendar/workDay'
import { isReady, workOutJob } from '#core/job/workOutJob'
import type { JobFile } from '#shared/schemas/job'
import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { requestSignal } from '../../../../../http/requestSignal'
import { todayFor } from '../../../../../services/clock'
import { groundAhead, lawnsOf } from '../../../../../services/groundThread'
import { houseOf } from '../../../../../services/houseOf'

/** One job as a file: what was entered, and what it comes to; what was begun as it was frozen. */
export default defineEventHandler(async (event): Promise<JobFile> => {
  const organization = organizationOf(event)
  const job = await repositoriesOf(event).jobs.find(readId(event))
  if (!job) throw failure('not-found', 'There is no such job.')
  const day = workDay(job.plannedFor, todayFor(organization))
  await groundAhead(lawnsOf(job.applications), day, requestSignal(event))
  const worked = workOutJob({ applications: job.applications, day, house: houseOf(organization) })
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
    applications: job.applications.map(({ document, frozen }, index) => {
      const now = worked[index]
      const { request, plan } = frozen ?? (now && isReady(now) ? now : {})
      return { document, ...(request && plan && { request, plan }) }
    }),
  }
})
