import { workDay } from '#core/calendar/workDay'
import type { House } from '#core/house'
import { plannedSheet } from '#core/jobsheet/plannedSheet'
import { sameContent } from '#core/sameContent'
import type { Job, SaveJob } from '#shared/schemas/job'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'

/**
 * Saves a job as it was entered; the server computes its plans again and stores both.
 * A stale version fails with `changed-elsewhere` and the row that is there; a repeat of what is stored
 * succeeds.
 * @param today the organization's calendar day
 */
export async function saveJob(
  repositories: Repositories,
  id: string,
  input: SaveJob,
  today: string,
  house: House,
): Promise<Job> {
  const { version, applications, ...fields } = input
  const day = workDay(input.plannedFor, today)
  const computed = applications.map((application) => ({
    ...application,
    sheet: plannedSheet(application.document, day, house),
  }))
  const unready = computed.findIndex(({ sheet }) => !sheet)
  if (input.state === 'planned' && unready >= 0) {
    throw failure('not-ready', [
      {
        path: `applications.${unready}`,
        message:
          'Something on the sheet is still missing or wrong: a job is planned when its amounts can be ' +
          'worked out.',
      },
    ])
  }
  return repositories.transaction(async (inside) => {
    const stored = await inside.jobs.find(id, 'lock')
    if (stored && sameJob(stored, input)) return stored
    if (stored?.state === 'running' || stored?.state === 'done')
      throw failure('locked', 'This job has been started: its plan is frozen.', stored)
    if (!stored && version > 0)
      throw failure('not-found', 'This job was deleted elsewhere: bring it back first, or repeat it.')
    if ((stored?.version ?? 0) !== version)
      throw failure('changed-elsewhere', 'This job was changed elsewhere since you opened it.', stored)
    // A site deleted since keeps the jobs it had.
    if (input.siteId !== null && input.siteId !== stored?.siteId && !(await inside.sites.find(input.siteId)))
      throw failure('invalid', [{ path: 'siteId', message: 'is not one of your sites' }])
    await refuseForeign(inside, id, applications)
    await refuseFrozenGone(inside, stored?.applications ?? [], applications)
    if (stored) await inside.jobs.update(id, version, fields, computed)
    else await inside.jobs.insert(id, fields, computed)
    const saved = await inside.jobs.find(id)
    if (!saved) throw new Error(`job ${id} vanished while it was saved`)
    return saved
  })
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
    sameContent({ ...job, ...fields }, job) &&
    sameContent(
      applications.map(({ id, document }) => ({ id, document })),
      sent,
    )
  )
}
