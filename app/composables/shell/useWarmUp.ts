import { daysAfter } from '#core/calendar/daysBetween'
import type { Job } from '#shared/schemas/job'
import type { Product } from '#shared/schemas/product'
import type { Today } from '#shared/schemas/today'

/** Days ahead whose jobs are kept, and how many jobs at most. */
const DAYS_AHEAD = 2
const MOST_JOBS = 40

/** Reads what a day's work needs once, so that the device has it where there is no network. */
export function useWarmUp() {
  const crew = useCrewStore()

  async function read<T>(path: string, query: Record<string, string> = {}): Promise<T | undefined> {
    return ($fetch as (path: string, options: object) => Promise<T>)(path, { query }).catch(() => undefined)
  }

  return async (): Promise<void> => {
    await Promise.all([read('/api/organizations'), read('/api/people/me')])
    if (!crew.organization) return
    const today = await read<Today>(crewUrl('/today'))
    const last = daysAfter(crew.today(), DAYS_AHEAD)
    const wanted = [
      ...(today?.running ?? []).map(({ jobId }) => jobId),
      ...(today?.jobs ?? []).map(({ id }) => id),
      ...(today?.ahead ?? []).filter(({ plannedFor }) => plannedFor <= last).map(({ id }) => id),
    ]
    await Promise.all([
      read(crewUrl('/library/equipment')),
      read(crewUrl('/library/calibrations')),
      read(crewUrl('/equipment/held')),
      read(crewUrl('/library/stations')),
      // As the lists ask when nothing is searched for.
      read(crewUrl('/jobs'), { q: '', state: '' }),
      read(crewUrl('/sites'), { q: '' }),
      read(crewUrl(`/days/${crew.today()}`)),
    ])
    const products = (await read<readonly Product[]>(crewUrl('/library/products'))) ?? []
    // One after the other: whoever works meanwhile goes first.
    const jobs: Job[] = []
    for (const id of [...new Set(wanted)].slice(0, MOST_JOBS)) jobs.push(...(await keepJob(id)))
    for (const id of papersOf(jobs, products)) await read(crewUrl(`/attachments/${id}`))
  }

  async function keepJob(id: string): Promise<readonly Job[]> {
    const job = await read<Job>(crewUrl(`/jobs/${id}`))
    if (!job) return []
    for (const { id: applicationId } of job.applications)
      await read(crewUrl(`/applications/${applicationId}/events`))
    const { siteId } = job
    if (siteId === null) return [job]
    await Promise.all([
      read(crewUrl('/library/areas'), { siteId }),
      read(crewUrl(`/library/sites/${siteId}`)),
      read(crewUrl(`/sites/${siteId}/ledger`)),
      read(crewUrl(`/sites/${siteId}/planned`), { job: id }),
      read(crewUrl(`/sites/${siteId}/hours`)),
      read(crewUrl(`/sites/${siteId}/weather`), { on: job.plannedFor || crew.today() }),
    ])
    return [job]
  }
}

/** Labels and safety sheets of what these jobs put down. */
function papersOf(jobs: readonly Job[], products: readonly Product[]): readonly string[] {
  const used = new Set(
    jobs.flatMap(({ applications }) =>
      applications.flatMap(({ document }) => document.products.map(({ source }) => source?.id)),
    ),
  )
  return products.flatMap(({ id, document }) =>
    used.has(id) ? (document.papers ?? []).map((paper) => paper.id) : [],
  )
}
