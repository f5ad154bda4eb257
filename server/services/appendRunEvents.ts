import { v7 as uuid } from 'uuid'
import type { House } from '#core/house'
import { workOutJob } from '#core/job/workOutJob'
import { areaSi } from '#core/quantity/quantity'
import { dimensionOf } from '#core/quantity/rateUnit'
import { foldRun, type RunRecord } from '#core/run/foldRun'
import { freezePlan } from '#core/run/freezePlan'
import { laidDown, ledgerChange } from '#core/run/laidDown'
import { reentryEnds } from '#core/run/reentry'
import type { FrozenPlan, RunEvent } from '#core/run/runEvent'
import { worstVerdict } from '#core/run/verdict'
import { stillToBook } from '#core/stock/stillToBook'
import { openWorkingBook } from '#core/working/working'
import type { Job, JobApplication } from '#shared/schemas/job'
import type { NewRunEvent, Run } from '#shared/schemas/run'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import type { RecordFields } from '../repositories/records'
import { jobContext, type CrewRules } from './jobContext'
import { notingRefusal } from './notingRefusal'
import { refuseStops, refuseUnready } from './refuseStops'

/**
 * What of the organization a run needs: its house rules, frozen with the plan, the zone its days are counted
 * in, and its own rules; without those (the sample's past) stops are not asked for.
 */
export interface RunHouse {
  readonly house: House
  readonly dayOf: (instant: string) => string
  readonly rules?: CrewRules
}

/**
 * Takes events of one application's run, each stored once however often it is sent, and keeps job, record,
 * ledger and stock in step. `planned` works the application out afresh from what is current, and freezes
 * that. Fails with `not-found`, `not-ready`, `invalid`, `locked`.
 */
export async function appendRunEvents(
  repositories: Repositories,
  applicationId: string,
  events: readonly NewRunEvent[],
  of: RunHouse,
): Promise<Run> {
  return notingRefusal(repositories, applicationId, () =>
    repositories.transaction(async (inside) => {
      const jobId = await inside.jobs.jobOf(applicationId)
      const job = jobId === undefined ? undefined : await inside.jobs.find(jobId, 'lock')
      const application = job?.applications.find(({ id }) => id === applicationId)
      if (!job || !application) throw failure('not-found', 'There is no such application.')
      const before = await inside.runs.events(applicationId)
      const known = new Set(before.map(({ id }) => id))
      const fresh = events.filter(({ id }) => !known.has(id))
      const planned = fresh.find(({ kind }) => kind === 'planned')
      const frozen = planned && (await freeze(inside, job, application, of.dayOf(planned.at), of))
      const complete = fresh.map((event) => withPayload(event, frozen))
      const record = foldRun([...before, ...complete])
      refuseContradictions(before, complete, record, job)
      await inside.runs.append(applicationId, complete)
      if (record && fresh.length > 0) await keepInStep(inside, job, application, record, of)
      return {
        applicationId,
        jobId: job.id,
        events: await inside.runs.events(applicationId),
        record: record ?? null,
      }
    }),
  )
}

function withPayload(event: NewRunEvent, frozen: FrozenPlan | undefined): RunEvent {
  if (event.kind === 'started') return { ...event, payload: {} }
  if (event.kind !== 'planned') return event as RunEvent
  if (!frozen) throw new Error('a plan was not frozen before its event')
  return { ...event, payload: frozen }
}

/** Works one application out afresh, with the rest of its visit in sight, and freezes what it comes to. */
async function freeze(
  repositories: Repositories,
  job: Job,
  application: JobApplication,
  day: string,
  { house, rules }: RunHouse,
): Promise<FrozenPlan> {
  const index = job.applications.indexOf(application)
  const context = await jobContext(repositories, job, day, house, rules ?? { local: [], mixes: [] })
  const open = job.applications.filter(({ state }) => state !== 'done')
  const book = openWorkingBook()
  const worked = workOutJob({ applications: open, ...context }, book, open.indexOf(application))[
    open.indexOf(application)
  ]
  refuseUnready(worked, `applications.${index}`)
  const frozen = worked && freezePlan(job, application.document, worked, book.pages(), house)
  if (!worked || !frozen) throw failure('not-ready', 'Its amounts cannot be worked out yet.')
  if (rules) refuseStops(worked)
  return frozen
}

/** A run starts once, ends once it has begun and its amounts are known, and is corrected only afterwards. */
function refuseContradictions(
  before: readonly RunEvent[],
  fresh: readonly RunEvent[],
  record: RunRecord | undefined,
  job: Job,
): void {
  const has = (kind: RunEvent['kind']) => [...before, ...fresh].some((event) => event.kind === kind)
  if (fresh.length === 0) return
  if (job.state === 'cancelled') throw failure('locked', 'This job is cancelled: reopen it first.')
  if (!record) throw failure('invalid', 'A run begins with its plan.')
  if (has('finished') && !(has('started') && has('used')))
    throw failure('invalid', 'A run is finished after it was started and what was used is entered.')
  if (has('corrected') && !has('finished')) throw failure('invalid', 'Only a finished record is corrected.')
  const [problem] = record.problems
  if (problem) throw failure('invalid', [problem])
}

async function keepInStep(
  repositories: Repositories,
  job: Job,
  application: JobApplication,
  record: RunRecord,
  of: RunHouse,
): Promise<void> {
  const states = job.applications.map(({ id, state }) => (id === application.id ? record.state : state))
  const state = states.every((one) => one === 'done')
    ? 'done'
    : states.some((one) => one !== 'planned')
      ? 'running'
      : job.state === 'draft'
        ? 'planned'
        : job.state
  if (state !== job.state) await repositories.jobs.setState(job.id, state)
  if (record.state !== 'done' || !record.finishedAt) return
  await repositories.records.put({
    ...recordRow(job, application, record, record.finishedAt),
    document: record,
  })
  await book(repositories, job, application.id, record, of.dayOf(record.finishedAt))
}

/** Appends to ledger and stock what makes them say what the record says; a correction adds the difference. */
async function book(
  { ledger, stock, products }: Repositories,
  job: Job,
  applicationId: string,
  record: RunRecord,
  on: string,
): Promise<void> {
  const change = ledgerChange(await ledger.totalsOf(applicationId), laidDown(record))
  const labelOf = (id: string) => record.frozen.labels.find(({ productId }) => productId === id)
  await ledger.append(
    change.map((row) => {
      const label = labelOf(row.productId)
      return {
        ...row,
        id: uuid(),
        applicationId,
        siteId: job.siteId,
        sourceId: label?.sourceId ?? null,
        product: label?.name ?? '',
        active: label?.active ?? '',
        groups: label?.group ?? '',
        on,
        repeatDays: label?.repeatDays ?? null,
        lastsDays: label?.lastsDays ?? null,
      }
    }),
  )
  for (const { productId, sourceId } of record.frozen.labels) {
    const used = record.outcomes.find((outcome) => outcome.productId === productId)?.used
    // What another shelf holds, or none any more, is not booked on this one.
    if (
      sourceId === undefined ||
      !used ||
      !((await products.find(sourceId)) ?? (await products.findDeleted(sourceId)))
    )
      continue
    const booked = (await stock.movements(sourceId)).filter(
      (movement) => movement.applicationId === applicationId && movement.dimension === dimensionOf(used.unit),
    )
    const amount = stillToBook(used, booked)
    if (amount === undefined) continue
    await stock.append(sourceId, [
      {
        id: uuid(),
        kind: 'used',
        dimension: dimensionOf(used.unit),
        amount,
        entered: { text: String(used.value), unit: used.unit },
        lot: '',
        remarks: job.site,
        applicationId,
        on,
      },
    ])
  }
}

function recordRow(
  job: Job,
  { id }: JobApplication,
  record: RunRecord,
  finishedAt: string,
): Omit<RecordFields, 'document'> {
  return {
    id,
    jobId: job.id,
    site: job.site,
    siteId: job.siteId,
    finishedAt,
    by: record.details?.by ?? '',
    target: record.details?.target ?? '',
    products: record.frozen.labels.map(({ name }) => name).join(', '),
    sizeM2: record.used ? areaSi(record.used.treated) : 0,
    verdict: worstVerdict(record.outcomes) ?? 'unknown',
    reentryUntil: reentryEnds(record.frozen.labels, finishedAt) ?? null,
  }
}

/** Reads a run back: the events as stored and what they fold to. */
export async function readRun(repositories: Repositories, applicationId: string): Promise<Run | undefined> {
  const jobId = await repositories.jobs.jobOf(applicationId)
  if (jobId === undefined) return undefined
  const events = await repositories.runs.events(applicationId)
  return { applicationId, jobId, events, record: foldRun(events) ?? null }
}
