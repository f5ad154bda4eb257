import type { House } from '#core/house'
import { workDay } from '#core/calendar/workDay'
import { workOutJob } from '#core/job/workOutJob'
import { sameContent } from '#core/sameContent'
import type { Job, SaveJob } from '#shared/schemas/job'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { groundAhead, lawnsOf } from './groundThread'
import { jobContext, type CrewRules } from './jobContext'
import { notingRefusal } from './notingRefusal'
import { refuseStops, refuseUnready } from './refuseStops'

/**
 * What of the organization planning a job needs; without its own rules (the sample's past) no stop is asked
 * for.
 */
export interface PlanHouse {
  /** The organization's calendar day. */
  readonly today: string
  readonly house: House
  readonly rules?: CrewRules
  /** Aborts when whoever asked has gone. */
  readonly request?: AbortSignal
}

/**
 * Saves a job as it was entered; what it comes to is worked out whenever it is asked for, and kept once its
 * run begins. A stale version fails with `changed-elsewhere` and the row that is there; a repeat of what is
 * stored succeeds. Nothing is planned that can't be worked out, and nothing new against a stop: both fail
 * with `not-ready`.
 */
export async function saveJob(
  repositories: Repositories,
  id: string,
  input: SaveJob,
  of: PlanHouse,
): Promise<Job> {
  const { version, applications, ...sent } = input
  if (input.state === 'planned')
    await groundAhead(lawnsOf(applications), workDay(input.plannedFor, of.today), of.request)
  return notingRefusal(repositories, applications[0]?.id ?? id, () =>
    repositories.transaction(async (inside) => {
      const stored = await inside.jobs.find(id, 'lock')
      const fields = { ...sent, givenTo: sent.givenTo ?? stored?.givenTo ?? '' }
      if (stored && sameJob(stored, input)) return stored
      if (stored?.state === 'running' || stored?.state === 'done')
        throw failure('locked', 'This job has been started: its plan is frozen.', stored)
      if (!stored && version > 0)
        throw failure('not-found', 'This job was deleted elsewhere: bring it back first, or repeat it.')
      if ((stored?.version ?? 0) !== version)
        throw failure('changed-elsewhere', 'This job was changed elsewhere since you opened it.', stored)
      // A site deleted since keeps the jobs it had.
      if (
        input.siteId !== null &&
        input.siteId !== stored?.siteId &&
        !(await inside.sites.find(input.siteId))
      )
        throw failure('invalid', [{ path: 'siteId', message: 'is not one of your sites' }])
      await refuseForeign(inside, id, applications)
      await refuseFrozenGone(inside, stored?.applications ?? [], applications)
      if (input.state === 'planned') await refuseToPlan(inside, id, input, stored, of)
      if (stored) await inside.jobs.update(id, version, fields, applications)
      else await inside.jobs.insert(id, fields, applications)
      const saved = await inside.jobs.find(id)
      if (!saved) throw new Error(`job ${id} vanished while it was saved`)
      return saved
    }),
  )
}

/**
 * A planned job can be worked out; what is planned anew has no stop. One that was planned before may gain
 * one.
 */
async function refuseToPlan(
  repositories: Repositories,
  id: string,
  { siteId, plannedFor, applications }: SaveJob,
  stored: Job | undefined,
  { today, house, rules }: PlanHouse,
): Promise<void> {
  const day = workDay(plannedFor, today)
  const asked = rules && stored?.state !== 'planned'
  const context = asked ? await jobContext(repositories, { id, siteId }, day, house, rules) : { day, house }
  const worked = workOutJob({ applications, ...context })
  worked.forEach((one, index) => refuseUnready(one, `applications.${index}`))
  if (asked) worked.forEach(refuseStops)
}

/** A plan that was frozen is history, even if its run never began. */
async function refuseFrozenGone(
  { runs }: Repositories,
  stored: Job['applications'],
  sent: SaveJob['applications'],
): Promise<void> {
  for (const { id } of stored.filter((application) => !sent.some((other) => other.id === application.id))) {
    if ((await runs.events(id)).length > 0)
      throw failure('locked', 'An application whose plan is frozen stays in its job.')
  }
}

/** An application belongs to one job for good. */
async function refuseForeign(
  { jobs }: Repositories,
  jobId: string,
  applications: SaveJob['applications'],
): Promise<void> {
  for (const [index, { id }] of applications.entries()) {
    const owner = await jobs.jobOf(id)
    if (owner !== undefined && owner !== jobId)
      throw failure('invalid', [{ path: `applications.${index}.id`, message: 'belongs to another job' }])
  }
}

function sameJob(
  { applications, ...job }: Job,
  { version: _, applications: sent, ...fields }: SaveJob,
): boolean {
  return (
    sameContent({ ...job, ...fields, givenTo: fields.givenTo ?? job.givenTo }, job) &&
    sameContent(
      applications.map(({ id, document }) => ({ id, document })),
      sent,
    )
  )
}
