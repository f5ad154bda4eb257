import type { House } from '#core/house'
import { isShared, type RouteApplication } from '#core/job/route/commonMix'
import { workOutJob } from '#core/job/workOutJob'
import { TRADE_UNITS } from '#core/quantity/nutrientText'
import { commonStop, type CommonStop } from '#core/run/common/commonStop'
import { daySheets, routeApplications } from '#core/run/common/dayApplications'
import { freezePlan } from '#core/run/freezePlan'
import { conditionLimits } from '#core/conditions/conditionLimits'
import type { FrozenPlan } from '#core/run/runEvent'
import { openWorkingBook } from '#core/working/working'
import type { Job, JobApplication } from '#shared/schemas/job'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { groundAhead, lawnsOf } from './groundThread'
import { jobContext, type CrewRules } from './jobContext'
import { refuseStops, refuseUnready } from './refuseStops'

/** Works one application out afresh, with the rest of its visit in sight, and freezes what it comes to. */
export async function freezeRun(
  repositories: Repositories,
  job: Job,
  application: JobApplication,
  day: string,
  { house, rules }: { readonly house: House; readonly rules?: CrewRules },
  stops: 'refused' | 'told',
): Promise<FrozenPlan> {
  const index = job.applications.indexOf(application)
  const context = await jobContext(repositories, job, day, house, rules ?? { local: [], mixes: [] })
  await groundAhead(lawnsOf(job.applications), day)
  const open = job.applications.filter(({ state }) => state !== 'done')
  const book = openWorkingBook()
  const worked = workOutJob({ applications: open, ...context }, book, open.indexOf(application))[
    open.indexOf(application)
  ]
  refuseUnready(worked, `applications.${index}`)
  const { library } = context
  const limits =
    library &&
    conditionLimits(application.document, library.products, library.areas, house.units ?? TRADE_UNITS)
  const common = isShared(application.document)
    ? await commonOf(repositories, job, application.id, day, house)
    : undefined
  const frozen =
    worked && freezePlan(job, application.document, worked, book.pages(), house, { limits, common })
  if (!worked || !frozen) throw failure('not-ready', 'Its amounts cannot be worked out yet.')
  if (rules && stops === 'refused') refuseStops(worked)
  return frozen
}

/** Its part in the mix of its day, with the other sites of it as they stand now or as they were frozen. */
async function commonOf(
  repositories: Repositories,
  { plannedFor }: Pick<Job, 'plannedFor'>,
  applicationId: string,
  day: string,
  house: House,
): Promise<CommonStop | undefined> {
  if (plannedFor === '') return undefined
  const jobs = await repositories.jobs.ofDay(plannedFor)
  const applications: RouteApplication[] = []
  for (const job of jobs.filter((one) => one.applications.some(({ document }) => isShared(document)))) {
    await groundAhead(lawnsOf(job.applications), day)
    const context = await jobContext(repositories, job, day, house, { local: [], mixes: [] })
    const worked = workOutJob({ applications: job.applications, ...context })
    applications.push(...routeApplications(job, daySheets(job, worked)))
  }
  return commonStop(applications, applicationId)
}
