import { conditionLimits } from '#core/conditions/conditionLimits'
import type { UnitSystem } from '#core/quantity/systems'
import { waitingCosts, whichDay, type DayWindow } from '#core/conditions/whichDay'
import { openWorkingBook } from '#core/working/working'
import type { Organization } from '#shared/schemas/organization'
import type { JobDays } from '#shared/schemas/season'
import type { JobOutlook } from '#shared/schemas/today'
import { failure } from '../../http/failure'
import type { Repositories } from '../../repositories/forOrganization'
import { todayFor } from '../clock'
import { answeredWorking } from '../compute/answeredWorking'
import { areaProgramPage } from './programs'
import { lightAt, seasonSource } from './seasonSource'

/** The days that are forecast, scored for a job: the best first. @param units its reasons are read in */
export async function jobDays(
  repositories: Repositories,
  organization: Organization,
  jobId: string,
  units: UnitSystem = organization.units,
): Promise<JobDays> {
  const job = await repositories.jobs.find(jobId)
  if (!job) throw failure('not-found', 'There is no such job.')
  const site = job.siteId === null ? undefined : await repositories.sites.find(job.siteId)
  if (!site) return { station: undefined, scores: [], waiting: NO_SITE, working: [] }
  const source = await seasonSource(repositories, todayFor(organization))
  const station = source.stationOf(site)
  const [hours, products, areas] = await Promise.all([
    source.hours(station),
    repositories.products.list(),
    repositories.areas.list({ siteId: site.id }),
  ])
  const drafts = job.applications.map(({ document }) => document)
  const window = await windowOf(
    repositories,
    organization,
    jobId,
    drafts.flatMap(({ lawns }) => lawns),
  )
  const book = openWorkingBook()
  const scores = whichDay(
    hours,
    drafts.map((draft) => conditionLimits(draft, products, areas, units)),
    window,
    source.today,
    lightAt(site, station, organization.timeZone),
    book,
  )
  return {
    station: station?.name,
    scores,
    waiting: waitingCosts(scores, window),
    working: answeredWorking(book),
  }
}

const NO_SITE = 'The job is on no saved site: its weather is not known.'

/** The days of the program's step that a job stands for. */
async function windowOf(
  repositories: Repositories,
  organization: Organization,
  jobId: string,
  lawns: readonly { readonly source?: { readonly id: string } }[],
): Promise<DayWindow> {
  for (const id of new Set(lawns.flatMap(({ source }) => source?.id ?? []))) {
    const applied = await repositories.areaPrograms.list({ areaId: id })
    if (applied.length === 0) continue
    const page = await areaProgramPage(repositories, organization, id)
    const step = page?.intentions.find((one) => one.jobId === jobId)
    if (step) return { opens: step.from, closes: step.to }
  }
  return { opens: undefined, closes: undefined }
}

/** When each job of a day can go out, by the weather of its site; those without weather are left out. */
export async function jobOutlooks(
  repositories: Repositories,
  organization: Organization,
  day: string,
): Promise<readonly JobOutlook[]> {
  const jobs = (await repositories.jobs.ofDay(day)).filter(
    ({ state }) => state === 'draft' || state === 'planned',
  )
  if (jobs.length === 0) return []
  const source = await seasonSource(repositories, day)
  const [products, areas, sites] = await Promise.all([
    repositories.products.list(),
    repositories.areas.list({ siteId: jobs.flatMap(({ siteId }) => siteId ?? []) }),
    repositories.sites.list(),
  ])
  const outlooks: JobOutlook[] = []
  for (const { id, siteId, applications } of jobs) {
    const site = sites.find((one) => one.id === siteId)
    const station = site && source.stationOf(site)
    if (!site || !station) continue
    const drafts = applications.map(({ document }) => document)
    const [score] = whichDay(
      (await source.hours(station)).filter(({ on }) => on === day),
      drafts.map((draft) => conditionLimits(draft, products, areas, organization.units)),
      { opens: undefined, closes: undefined },
      day,
      lightAt(site, station, organization.timeZone),
    )
    const told = score?.factors.find(({ name }) => name === 'hours')
    if (told) outlooks.push({ jobId: id, fits: score?.hours !== undefined, words: told.reason })
  }
  return outlooks
}
