import { dayText } from '#core/calendar/dayText'
import type { ApplicationDocument } from '#core/jobsheet/document'
import { foldRun, type RunRecord } from '#core/run/foldRun'
import type { FrozenPlan, RunEvent } from '#core/run/runEvent'
import { closedWorkingBook } from '#core/working/working'
import { areaSi } from '#core/quantity/quantity'
import type { Job } from '#shared/schemas/job'
import type { NewRunEvent, RecordRow, Run } from '#shared/schemas/run'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import type { PlannedSheet } from '#core/jobsheet/plannedSheet'

/**
 * Takes events of a job's run, each stored once however often it is sent, and keeps job and record in step.
 * `planned` freezes the plan the server has stored. Fails with `not-found`, `not-ready`, `invalid`.
 */
export async function appendRunEvents(repositories: Repositories, jobId: string, events: readonly NewRunEvent[]): Promise<Run> {
  return repositories.transaction(async (inside) => {
    const job = await inside.jobs.find(jobId, 'lock')
    if (!job) throw failure('not-found', 'There is no such job.')
    const applicationId = job.application.id
    const before = await inside.runs.events(applicationId)
    const known = new Set(before.map(({ id }) => id))
    const fresh = events.filter(({ id }) => !known.has(id))
    const sheet = fresh.some(({ kind }) => kind === 'planned') ? await inside.jobs.sheet(jobId) : null
    const complete = fresh.map((event) => withPayload(event, job, sheet))
    const record = foldRun([...before, ...complete])
    refuseContradictions(before, complete, record, job)
    await inside.runs.append(applicationId, complete)
    if (record && fresh.length > 0) await keepInStep(inside, job, record)
    return { applicationId, events: await inside.runs.events(applicationId), record: record ?? null }
  })
}

function withPayload(event: NewRunEvent, job: Job, sheet: PlannedSheet | null): RunEvent {
  if (event.kind === 'started') return { ...event, payload: {} }
  if (event.kind !== 'planned') return event as RunEvent
  if (!sheet) throw failure('not-ready', 'Something on the sheet is still missing or wrong: it cannot be run yet.')
  const stop = sheet.checks.find(({ level }) => level === 'stop')
  if (stop) throw failure('not-ready', `A stop must be cleared first: ${stop.message}`)
  return { ...event, payload: frozenPlan(job, sheet) }
}

function frozenPlan({ site, application: { document } }: Job, { coreVersion, request, plan }: PlannedSheet): FrozenPlan {
  return {
    coreVersion, site, request, plan,
    equipment: document[document.method].equipment,
    calibration: calibrationWords(document),
    labels: document.products.map(({ id, name, registration }) => ({ productId: id, name, registration })),
  }
}

function calibrationWords(document: ApplicationDocument): string {
  const { on, runs } = document[document.method].calibration
  const setting = document.method === 'spread' ? `, setting ${document.spread.calibration.setting || 'not given'}` : ''
  return `known area, ${on === '' ? 'no date' : dayText(on)}, ${runs.length} ${runs.length === 1 ? 'run' : 'runs'}${setting}`
}

/** A run starts once, ends once it has begun and its amounts are known, and is corrected only afterwards. */
function refuseContradictions(before: readonly RunEvent[], fresh: readonly RunEvent[], record: RunRecord | undefined, job: Job): void {
  const has = (kind: RunEvent['kind']) => [...before, ...fresh].some((event) => event.kind === kind)
  if (fresh.length === 0) return
  if (job.state === 'cancelled') throw failure('locked', 'This job is cancelled: reopen it first.')
  if (!record) throw failure('invalid', 'A run begins with its plan.')
  if (has('finished') && !(has('started') && has('used'))) throw failure('invalid', 'A run is finished after it was started and what was used is entered.')
  if (has('corrected') && !has('finished')) throw failure('invalid', 'Only a finished record is corrected.')
  const [problem] = record.problems
  if (problem) throw failure('invalid', [problem])
}

async function keepInStep(repositories: Repositories, job: Job, record: RunRecord): Promise<void> {
  if (record.state !== job.state) await repositories.jobs.setState(job.id, record.state)
  if (record.state === 'done' && record.finishedAt) await repositories.records.put({ ...recordRow(job, record, record.finishedAt), document: record })
}

function recordRow(job: Job, record: RunRecord, finishedAt: string): RecordRow {
  const verdicts = record.outcomes.map(({ verdict }) => verdict)
  return {
    id: job.application.id, jobId: job.id, site: job.site, finishedAt,
    products: record.frozen.labels.map(({ name }) => name).join(', '),
    sizeM2: record.used ? areaSi(record.used.treated) : 0,
    verdict: (['off', 'acceptable', 'good'] as const).find((verdict) => verdicts.includes(verdict)) ?? 'unknown',
  }
}

/** Reads a run back: the events as stored and what they fold to. */
export async function readRun(repositories: Repositories, jobId: string): Promise<Run | undefined> {
  const job = await repositories.jobs.find(jobId)
  if (!job) return undefined
  const events = await repositories.runs.events(job.application.id)
  return { applicationId: job.application.id, events, record: foldRun(events, closedWorkingBook) ?? null }
}
