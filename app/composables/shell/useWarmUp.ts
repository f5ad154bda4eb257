import { daysAfter } from '#core/calendar/daysBetween'
import type { Job } from '#shared/schemas/job'
import type { Product } from '#shared/schemas/product'

/** Days ahead whose jobs are kept, and how many jobs at most. */
const DAYS_AHEAD = 2
const MOST_JOBS = 40

/** Reads what a day's work needs once, so that the device has it where there is no network. */
export function useWarmUp() {
  const crew = useCrewStore()

  const read = <T>(question: Question<T>): Promise<T | undefined> => ask(question).catch(() => undefined)

  return async (): Promise<void> => {
    await Promise.all([read(questions.organizations()), read(questions.me())])
    if (!crew.organization) return
    const today = await read(questions.today())
    const last = daysAfter(crew.today(), DAYS_AHEAD)
    const wanted = [
      ...(today?.running ?? []).map(({ jobId }) => jobId),
      ...(today?.jobs ?? []).map(({ id }) => id),
      ...(today?.ahead ?? []).filter(({ plannedFor }) => plannedFor <= last).map(({ id }) => id),
    ]
    await Promise.all([
      read(questions.equipment()),
      read(questions.calibrations()),
      read(questions.held()),
      read(questions.stationLibrary()),
      read(questions.jobs()),
      read(questions.sites()),
      read(questions.day(crew.today())),
    ])
    const products = (await read(questions.products())) ?? []
    // One after the other: whoever works meanwhile goes first.
    const jobs: Job[] = []
    for (const id of [...new Set(wanted)].slice(0, MOST_JOBS)) jobs.push(...(await keepJob(id)))
    for (const id of papersOf(jobs, products)) await read(questions.attachment(id))
  }

  async function keepJob(id: string): Promise<readonly Job[]> {
    const job = await read(questions.job(id))
    if (!job) return []
    for (const { id: applicationId } of job.applications) await read(questions.run(applicationId))
    const { siteId } = job
    if (siteId === null) return [job]
    await Promise.all([
      read(questions.areas(siteId)),
      read(questions.site(siteId)),
      read(questions.ledger(siteId)),
      read(questions.planned(siteId, id)),
      read(questions.siteHours(siteId)),
      read(questions.siteWeather(siteId, job.plannedFor || crew.today())),
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
