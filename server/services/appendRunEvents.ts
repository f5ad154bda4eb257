import type { House } from '#core/house'
import { foldRun, type RunRecord } from '#core/run/foldRun'
import { licenceStanding } from '#core/people/licence'
import { needsCounterSign } from '#core/people/roles'
import type { EventPerson, FrozenPlan, RunEvent } from '#core/run/runEvent'
import type { Job, JobApplication } from '#shared/schemas/job'
import { sameContent } from '#core/sameContent'
import { endsBeforeItBegins, eventTime, inWrittenOrder, TOLD_SKEW_MS } from '#core/run/eventTime'
import type { NewRunEvent, Run } from '#shared/schemas/run'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { freezeRun } from './freezeRun'
import type { CrewRules } from './jobContext'
import { keepInStep } from './keepInStep'
import { keepJobCalibration } from './keepJobCalibration'
import { notingRefusal } from './notingRefusal'

/**
 * What of the organization a run needs: its house rules, frozen with the plan, the zone its days are counted
 * in, and its own rules; without those (the sample's past) stops are not asked for.
 */
export interface RunHouse {
  readonly house: House
  readonly dayOf: (instant: string) => string
  readonly rules?: CrewRules
  /** The organization's now, ISO instant: no event is later than its receipt. */
  readonly received: string
  /** Who sends them, where people sign in: the name stands on each event. */
  readonly person?: EventPerson
}

/**
 * Takes events of one application's run, each stored once however often it is sent, and keeps job, record,
 * ledger and stock in step: what is folded and booked is what was stored. `planned` works the application out
 * afresh from what is current, and freezes that. Fails with `not-found`, `not-ready`, `invalid`, `locked`
 * (planned or on record already), `taken` (the id or the place in the device's sequence is another event's).
 */
export async function appendRunEvents(
  repositories: Repositories,
  applicationId: string,
  { events, sentAt }: { readonly events: readonly NewRunEvent[]; readonly sentAt?: string },
  of: RunHouse,
): Promise<Run> {
  return notingRefusal(repositories, applicationId, () =>
    repositories.transaction(async (inside) => {
      const jobId = await inside.jobs.jobOf(applicationId)
      const job = jobId === undefined ? undefined : await inside.jobs.find(jobId, 'lock')
      const application = job?.applications.find(({ id }) => id === applicationId)
      if (!job || !application) throw failure('not-found', 'There is no such application.')
      const before = await inside.runs.events(applicationId)
      const fresh = await newAmong(inside, applicationId, before, events)
      refuseAgain(before, fresh)
      refuseStrangers(before, fresh)
      refuseCounterSign(before, fresh, of)
      const timed = serverTimes(fresh, sentAt, of.received)
      const planned = timed.find((event) => event.kind === 'planned')
      const frozen = planned && (await planFor(planned, before, inside, job, application, of))
      await inside.runs.append(
        applicationId,
        timed.map((event) => ({ ...withPayload(event, frozen), ...(of.person && { person: of.person }) })),
      )
      const stored = await inside.runs.events(applicationId)
      const record = foldRun(stored)
      if (fresh.length > 0) refuseContradictions(stored, record, job, of)
      if (record && fresh.length > 0) await keepInStep(inside, job, application, record, of)
      if (record && stored.some(({ kind }) => kind === 'calibrates'))
        await keepJobCalibration(inside, application, record, {
          dayOf: of.dayOf,
          outcome: fresh.some(({ kind }) => kind === 'corrected') ? 'corrected' : 'as it was',
        })
      return { applicationId, jobId: job.id, events: stored, record: record ?? null }
    }),
  )
}

/** Those that are not stored yet; one that is must be the same to the letter. */
async function newAmong(
  { runs }: Repositories,
  applicationId: string,
  before: readonly RunEvent[],
  events: readonly NewRunEvent[],
): Promise<readonly NewRunEvent[]> {
  const known = new Map(before.map((event) => [event.id, event]))
  const places = new Set(before.map(placeOf))
  const elsewhere = await runs.elsewhere(
    applicationId,
    events.map(({ id }) => id),
  )
  const fresh: NewRunEvent[] = []
  for (const event of events) {
    const stored = known.get(event.id)
    // Sent twice in one go is sent once.
    if (!stored && fresh.some((other) => sameContent(other, event))) continue
    if (stored ? !isSame(stored, event) : elsewhere.has(event.id) || places.has(placeOf(event)))
      throw failure(
        'taken',
        'Another event has this id, or this place in the sequence of its device: read the run again and ' +
          'send it with new ones.',
      )
    if (stored) continue
    places.add(placeOf(event))
    fresh.push(event)
  }
  return fresh
}

const placeOf = ({ deviceId, sequence }: Pick<RunEvent, 'deviceId' | 'sequence'>) =>
  `${deviceId.toLowerCase()} ${sequence}`

/** The server's own part, the frozen plan and the corrected time, is no difference. */
function isSame(stored: RunEvent, sent: NewRunEvent): boolean {
  if (stored.kind !== sent.kind || placeOf(stored) !== placeOf(sent)) return false
  // A device whose answer was lost sends its plan again with what it went by.
  if (stored.kind === 'planned' && sent.kind === 'planned')
    return stored.payload.seen === undefined || sameContent(stored.payload.seen, sent.payload?.seen)
  return !('payload' in sent) || sameContent(stored.payload, sent.payload)
}

/**
 * The plan a run goes by. One that began without a network, or is entered afterwards, is carried out already:
 * what would have stopped it is kept and told; where another device had begun it first, that plan stands.
 */
async function planFor(
  planned: Extract<TimedEvent, { kind: 'planned' }>,
  before: readonly RunEvent[],
  inside: Repositories,
  job: Job,
  application: JobApplication,
  of: RunHouse,
): Promise<FrozenPlan> {
  const seen = planned.payload?.seen
  const first = before.find(({ kind }) => kind === 'planned')
  if (first?.kind === 'planned') return { ...first.payload, ...(seen && { seen }) }
  const afterwards = planned.payload?.afterwards
  const isDone = seen !== undefined || afterwards !== undefined
  const frozen = await freezeRun(
    inside,
    job,
    application,
    of.dayOf(planned.at),
    of,
    isDone ? 'told' : 'refused',
  )
  return { ...frozen, ...(seen && { seen }), ...(afterwards && { afterwards }) }
}

/**
 * What is frozen or on record already is not begun or entered anew by another tab or device. Notes of another
 * device that come late are kept all the same.
 */
function refuseAgain(before: readonly RunEvent[], fresh: readonly NewRunEvent[]): void {
  const has = (kind: RunEvent['kind']) => before.some((event) => event.kind === kind)
  const brings = (...kinds: readonly RunEvent['kind'][]) => fresh.some(({ kind }) => kinds.includes(kind))
  if (has('finished') && brings('planned', 'started', 'used', 'timed', 'finished'))
    throw failure('locked', 'This run is on record already: correct the record instead.')
  if (has('planned') && fresh.some((event) => event.kind === 'planned' && !event.payload?.seen))
    throw failure('locked', 'This run has begun already, here or on another device: open it again.')
}

/** What a note speaks of must be of this application: a product of its plan. */
function refuseStrangers(before: readonly RunEvent[], fresh: readonly NewRunEvent[]): void {
  const planned = before.find((event) => event.kind === 'planned')
  if (planned?.kind !== 'planned') return
  const known = new Set(planned.payload.request.products.map(({ id }) => id))
  if (fresh.some((event) => event.kind === 'measured' && !known.has(event.payload.productId)))
    throw failure('invalid', 'What was measured out is no product of this run.')
}

/** A licensed person other than the one who did the work puts their name to it, once it is finished. */
function refuseCounterSign(
  before: readonly RunEvent[],
  fresh: readonly NewRunEvent[],
  { person, dayOf, received }: RunHouse,
): void {
  if (!fresh.some(({ kind }) => kind === 'countersigned')) return
  const finished = before.find(({ kind }) => kind === 'finished')
  if (!finished) throw failure('invalid', 'Only a finished run is counter-signed.')
  if (!person || needsCounterSign(person.role) || finished.person?.id === person.id)
    throw failure('not-allowed', 'Somebody else counter-signs this: a licensed owner or technician.')
  const standing = licenceStanding(person.licence, person.licenceEnds, dayOf(received))
  if (standing === 'none' || standing === 'ended')
    throw failure(
      'not-ready',
      'Counter-signing needs a licence that is valid today: put yours in under People.',
    )
}

/** The server's time counts, in the order of writing; the device's own is kept where the two differ. */
function serverTimes(
  events: readonly NewRunEvent[],
  sentAt: string | undefined,
  received: string,
): readonly TimedEvent[] {
  const ordered = events.toSorted((a, b) => a.sequence - b.sequence)
  const times = inWrittenOrder(ordered.map(({ at }) => eventTime(at, sentAt, received)))
  return ordered.map((event, i) => {
    const at = times[i] ?? received
    return Math.abs(Date.parse(at) - Date.parse(event.at)) < TOLD_SKEW_MS
      ? { ...event, at }
      : { ...event, at, deviceAt: event.at }
  })
}
type TimedEvent = NewRunEvent & { readonly deviceAt?: string }

function withPayload(event: TimedEvent, frozen: FrozenPlan | undefined): RunEvent {
  if (event.kind === 'started' || event.kind === 'countersigned') return { ...event, payload: {} }
  if (event.kind !== 'planned') return event as RunEvent
  if (!frozen) throw new Error('a plan was not frozen before its event')
  return { ...event, payload: frozen }
}

/** A run starts once, ends once it has begun and its amounts are known, and is corrected only afterwards. */
function refuseContradictions(
  stored: readonly RunEvent[],
  record: RunRecord | undefined,
  job: Job,
  { received }: RunHouse,
): void {
  const has = (kind: RunEvent['kind']) => stored.some((event) => event.kind === kind)
  if (job.state === 'cancelled') throw failure('locked', 'This job is cancelled: reopen it first.')
  if (!record) throw failure('invalid', 'A run begins with its plan.')
  if (has('finished') && !(has('started') && has('used')))
    throw failure('invalid', 'A run is finished after it was started and what was used is entered.')
  if (has('corrected') && !has('finished')) throw failure('invalid', 'Only a finished record is corrected.')
  if (stored.some((event) => event.kind === 'timed' && Date.parse(event.payload.to) > Date.parse(received)))
    throw failure('invalid', 'It would have ended after now: set the time it was done.')
  if (endsBeforeItBegins(record))
    throw failure('invalid', 'It would be finished before it was started: set the clock of this device.')
  const [problem] = record.problems
  if (problem) throw failure('invalid', [problem])
}

/** Reads a run back: the events as stored and what they fold to. */
export async function readRun(repositories: Repositories, applicationId: string): Promise<Run | undefined> {
  const jobId = await repositories.jobs.jobOf(applicationId)
  if (jobId === undefined) return undefined
  const events = await repositories.runs.events(applicationId)
  return { applicationId, jobId, events, record: foldRun(events) ?? null }
}
