import { workDay } from '#core/calendar/workDay'
import type { House } from '#core/house'
import { isReady, workOutJob } from '#core/job/workOutJob'
import type { Job, JobFile } from '#shared/schemas/job'
import { groundAhead, lawnsOf } from './groundThread'

/** One job as a file: what was entered, and what it comes to; what was begun as it was frozen. */
export async function jobFile(job: Job, house: House, today: string, signal: AbortSignal): Promise<JobFile> {
  const { site, purpose, plannedFor, applications } = job
  const day = workDay(plannedFor, today)
  await groundAhead(lawnsOf(applications), day, signal)
  const worked = workOutJob({ applications, day, house })
  return {
    format: 'job',
    schema: 1,
    site,
    purpose,
    plannedFor,
    applications: applications.map(({ document, frozen }, index) => {
      const now = worked[index]
      const { request, plan } = frozen ?? (now && isReady(now) ? now : {})
      return { document, ...(request && plan && { request, plan }) }
    }),
  }
}
