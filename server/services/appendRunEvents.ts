import { v7 as uuid } from 'uuid'
import { spreadMethodOf, sprayMethodOf } from '#core/calibration/courseNote'
import { dayText } from '#core/calendar/dayText'
import type { House } from '#core/house'
import { dialOf } from '#core/jobsheet/dialChecks'
import type { ApplicationDocument, ProductNote } from '#core/jobsheet/document'
import type { PlannedSheet } from '#core/jobsheet/plannedSheet'
import { amountFactor, areaSi, timeSi } from '#core/quantity/quantity'
import { readPositive, type Entered } from '#core/quantity/entered'
import type { TimeUnit } from '#core/quantity/units'
import { foldRun, type RunRecord } from '#core/run/foldRun'
import { laidDown, ledgerChange } from '#core/run/laidDown'
import type { FrozenLabel, FrozenPlan, RunEvent } from '#core/run/runEvent'
import { dimensionOf } from '#core/quantity/rateUnit'
import type { Job, JobApplication } from '#shared/schemas/job'
import type { NewRunEvent, Run } from '#shared/schemas/run'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { refuseRoomStops, type CrewRules } from './refuseRoomStops'
import type { RecordFields } from '../repositories/records'

/**
 * What of the organization a run needs: its house rules, frozen with the plan, the zone its days are counted
 * in, and its own rules; without those (the sample's past) they are not asked.
 */
export interface RunHouse {
  readonly house: House
  readonly dayOf: (instant: string) => string
  readonly rules?: CrewRules
}

/**
 * Takes events of one application's run, each stored once however often it is sent, and keeps job, record,
 * ledger and stock in step. `planned` freezes the plan the server has stored. Fails with `not-found`,
 * `not-ready`, `invalid`, `locked`.
 */
export async function appendRunEvents(
  repositories: Repositories,
  applicationId: string,
  events: readonly NewRunEvent[],
  of: RunHouse,
): Promise<Run> {
  return repositories.transaction(async (inside) => {
    const jobId = await inside.jobs.jobOf(applicationId)
    const job = jobId === undefined ? undefined : await inside.jobs.find(jobId, 'lock')
    const application = job?.applications.find(({ id }) => id === applicationId)
    if (!job || !application) throw failure('not-found', 'There is no such application.')
    const before = await inside.runs.events(applicationId)
    const known = new Set(before.map(({ id }) => id))
    const fresh = events.filter(({ id }) => !known.has(id))
    const sheet = fresh.some(({ kind }) => kind === 'planned') ? await inside.jobs.sheet(applicationId) : null
    const complete = fresh.map((event) => withPayload(event, job, application, sheet, of))
    const planned = fresh.find(({ kind }) => kind === 'planned')
    if (planned && sheet && of.rules)
      await refuseRoomStops(
        inside,
        job.siteId,
        application.document,
        sheet,
        of.dayOf(planned.at),
        of.house,
        of.rules,
      )
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
  })
}

function withPayload(
  event: NewRunEvent,
  job: Job,
  { document }: JobApplication,
  sheet: PlannedSheet | null,
  { house }: RunHouse,
): RunEvent {
  if (event.kind === 'started') return { ...event, payload: {} }
  if (event.kind !== 'planned') return event as RunEvent
  if (!sheet)
    throw failure('not-ready', 'Something on the sheet is still missing or wrong: it cannot be run yet.')
  const stop = sheet.checks.find(({ level }) => level === 'stop')
  if (stop) throw failure('not-ready', `A stop must be cleared first: ${stop.message}`)
  return { ...event, payload: frozenPlan(job, document, sheet, house) }
}

function frozenPlan(
  { site, siteId }: Job,
  document: ApplicationDocument,
  { coreVersion, request, plan }: PlannedSheet,
  { good, acceptable }: House,
): FrozenPlan {
  const checkPlots = document.lawns
    .filter(({ treated }) => treated === 'check')
    .map(({ name }) => name.trim() || 'a lawn')
  return {
    coreVersion,
    site,
    request,
    plan,
    tolerance: { good, acceptable },
    ...(siteId !== null && { siteId }),
    equipment: document[document.method].equipment,
    calibration: calibrationWords(document),
    labels: document.products.map(frozenLabel),
    ...(checkPlots.length > 0 && { checkPlots }),
  }
}

function frozenLabel({ id, name, registration, source, active, reentry, repeat }: ProductNote): FrozenLabel {
  const reentryHours = inUnit(reentry, 3600)
  const repeatDays = inUnit(repeat, 86_400)
  return {
    productId: id,
    name,
    registration,
    active: active.name,
    group: active.group ?? '',
    ...(source && { sourceId: source.id }),
    ...(reentryHours !== undefined && { reentryHours }),
    ...(repeatDays !== undefined && { repeatDays }),
  }
}

function inUnit(entered: Entered<TimeUnit> | undefined, seconds: number): number | undefined {
  const read = entered && readPositive(entered, 'time', 'Interval')
  return read?.ok ? timeSi(read.value) / seconds : undefined
}

function calibrationWords(document: ApplicationDocument): string {
  const { on, runs } = document[document.method].calibration
  const setting =
    document.method === 'spread'
      ? ', setting ' +
        `${dialOf(document.spread) || 'not given'}${document.spread.dial?.trim() ? ' off the curve' : ''}`
      : ''
  const how =
    document.method === 'spread'
      ? spreadMethodOf(document.spread.calibration)
      : sprayMethodOf(document.spray.calibration)
  return (
    `${how}, ${on === '' ? 'no date' : dayText(on)}, ${runs.length} ` +
    `${runs.length === 1 ? 'run' : 'runs'}${setting}`
  )
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
  const change = ledgerChange(await ledger.standing(applicationId), laidDown(record))
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
    const amount =
      -used.value * amountFactor(used.unit) - booked.reduce((sum, movement) => sum + movement.amount, 0)
    if (Math.abs(amount) < NOTHING) continue
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

/** Below a thousandth of a gram or millilitre nothing moved. */
const NOTHING = 1e-9

function recordRow(
  job: Job,
  { id }: JobApplication,
  record: RunRecord,
  finishedAt: string,
): Omit<RecordFields, 'document'> {
  const verdicts = record.outcomes.map(({ verdict }) => verdict)
  const hours = Math.max(0, ...record.frozen.labels.map(({ reentryHours }) => reentryHours ?? 0))
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
    verdict:
      (['off', 'acceptable', 'good'] as const).find((verdict) => verdicts.includes(verdict)) ?? 'unknown',
    reentryUntil: hours > 0 ? new Date(Date.parse(finishedAt) + hours * 3_600_000).toISOString() : null,
  }
}

/** Reads a run back: the events as stored and what they fold to. */
export async function readRun(repositories: Repositories, applicationId: string): Promise<Run | undefined> {
  const jobId = await repositories.jobs.jobOf(applicationId)
  if (jobId === undefined) return undefined
  const events = await repositories.runs.events(applicationId)
  return { applicationId, jobId, events, record: foldRun(events) ?? null }
}
