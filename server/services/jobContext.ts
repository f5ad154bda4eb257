import { daysAfter } from '#core/calendar/daysBetween'
import type { House } from '#core/house'
import { workOutJob, type JobLibrary, type JobQuestion } from '#core/job/workOutJob'
import type { LocalRule, MixNote } from '#core/rules/localRule'
import { plannedRows } from '#core/rules/plannedRows'
import type { PlannedRow } from '#core/season/ledger'
import { sumOf } from '#core/quantity/counting'
import type { Job } from '#shared/schemas/job'
import type { PlannedUse } from '#shared/schemas/product'
import { groundAhead, lawnsOf } from './groundThread'
import type { Repositories } from '../repositories/forOrganization'
import { siteConditions } from './season/siteConditions'

/** The crew's own rules; the sample's past is made without them. */
export interface CrewRules {
  readonly local: readonly LocalRule[]
  readonly mixes: readonly MixNote[]
}

/** How far back, and beyond the day, the ledger is read: a year, and what an interval may reach over. */
export const LEDGER_DAYS = 500
/** How far ahead planned work is looked for: the rest of a season. */
const PLANNED_DAYS = 370

/** Everything a job is worked out from besides what was typed, as it is now. */
export async function jobContext(
  repositories: Repositories,
  { id, siteId }: Pick<Job, 'id' | 'siteId'>,
  day: string,
  house: House,
  { local, mixes }: CrewRules,
): Promise<Pick<JobQuestion, 'day' | 'house' | 'library' | 'ledger' | 'planned' | 'weather'>> {
  // One after the other: within a transaction there is one connection for all.
  const products = await repositories.products.list()
  const calibrations = await repositories.calibrations.list()
  const held = await repositories.records.held()
  const areas = siteId === null ? [] : await repositories.areas.list({ siteId })
  const ledger =
    siteId === null
      ? []
      : await repositories.ledger.ofSite(siteId, daysAfter(day, -LEDGER_DAYS), daysAfter(day, LEDGER_DAYS))
  const planned = siteId === null ? [] : await plannedOnSite(repositories, siteId, id, day, house)
  const site = siteId === null ? undefined : await repositories.sites.find(siteId)
  const weather = site && (await siteConditions(repositories, site, day))
  const library: JobLibrary = { areas, products, calibrations, local, mixes, held }
  return { day, house, library, ledger, planned, weather }
}

/**
 * What the other planned jobs of a site are going to put down, application by application, as they stand now.
 * @param except the job that is asked for; its own applications are no other work
 */
export async function plannedOnSite(
  { jobs }: Pick<Repositories, 'jobs'>,
  siteId: string,
  except: string,
  day: string,
  house: House,
): Promise<readonly PlannedRow[]> {
  const found = await jobs.plannedOnSite(siteId, daysAfter(day, -LEDGER_DAYS), daysAfter(day, PLANNED_DAYS))
  return rowsOf(
    found.filter(({ id }) => id !== except),
    day,
    house,
  )
}

/** What all jobs to come are going to put down, dated drafts among them: a step made a job is one of them. */
export async function rowsToCome(
  { jobs }: Pick<Repositories, 'jobs'>,
  day: string,
  house: House,
): Promise<readonly PlannedRow[]> {
  return rowsOf(await jobs.toCome(daysAfter(day, -LEDGER_DAYS), daysAfter(day, PLANNED_DAYS)), day, house)
}

/** What planned jobs are going to use of a product, late ones included; mass and volume apart. */
export async function plannedUse(
  { jobs }: Pick<Repositories, 'jobs'>,
  productId: string,
  day: string,
  house: House,
): Promise<readonly PlannedUse[]> {
  const found = await jobs.plannedWith(productId, daysAfter(day, -LEDGER_DAYS), daysAfter(day, PLANNED_DAYS))
  const rows = (await rowsOf(found, day, house)).filter(({ sourceId }) => sourceId === productId)
  return (['mass', 'volume'] as const).flatMap((dimension) => {
    const amount = sumOf(
      rows.filter((row) => row.dimension === dimension),
      (row) => row.amount,
    )
    return amount > 0 ? [{ dimension, amount }] : []
  })
}

/** What jobs are going to put down, application by application; a late one counts for today. */
async function rowsOf(jobs: readonly Job[], day: string, house: House): Promise<readonly PlannedRow[]> {
  const others = jobs.map((job) => ({ job, on: job.plannedFor < day ? day : job.plannedFor }))
  for (const { job, on } of others) await groundAhead(lawnsOf(job.applications), on)
  return others.flatMap(({ job, on }) => {
    const worked = workOutJob({ applications: job.applications, day: on, house })
    return job.applications.flatMap(({ id, document, state }, index) => {
      const { request, plan } = worked[index] ?? {}
      return state !== 'done' && request && plan
        ? plannedRows({ applicationId: id, draft: document, request, plan, on }, 'job', 'before')
        : []
    })
  })
}
