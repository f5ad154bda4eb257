import { textOrder } from '../quantity/textOrder'
import { judgingOf } from './freezePlan'
import { needsCounterSign } from '../people/roles'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { skewText } from './eventTime'
import { outcomeOf, type JudgedOutcome, type ProductOutcome, type Used } from './outcome'
import type { OutcomeProblem } from './outcomeProblem'
import { gateWeather } from './gate/gateWeather'
import { foldProgress, type RunProgress } from './progress'
import type { CarriedBody, TimedEntry } from './carriedShape'
import type { AmountCorrection, Correction, EventPerson, FrozenPlan, RunDetails, RunEvent } from './runEvent'

/** A correction as the record shows it: what stood there, what stands there now, why, when. */
export interface CorrectionShown {
  readonly field: Correction['field']
  readonly was: Correction['now'] | undefined
  readonly now: Correction['now']
  readonly reason: string
  readonly at: string
  /** Who corrected it, where people sign in. */
  readonly by?: string
}

/** What the events of one application come to. */
export interface RunRecord {
  readonly state: 'planned' | 'running' | 'done'
  readonly frozen: FrozenPlan
  readonly startedAt: string | undefined
  /** When the last of it went down, where the steps of a run were followed. */
  readonly endedAt?: string
  readonly finishedAt: string | undefined
  readonly used: Used | undefined
  readonly details: RunDetails | undefined
  readonly outcomes: readonly ProductOutcome[]
  readonly problems: readonly OutcomeProblem[]
  readonly corrections: readonly CorrectionShown[]
  /** Devices with a hole in their sequence: events that have not arrived. */
  readonly gaps: readonly string[]
  /** What was written down on the way and afterwards. */
  readonly progress: RunProgress
  /** Nobody noted more than the day it was done on. */
  readonly only?: 'day'
  /** What to say of a device whose clock was off. */
  readonly skew?: string
  /** Who was signed in when it was finished. */
  readonly person?: EventPerson
  /** Finished by one who is still learning: a licensed person has yet to put their name to it. */
  readonly awaitsCounterSign?: true
  readonly counterSigned?: { readonly name: string; readonly licence: string; readonly at: string }
}

/**
 * Folds the events of one application into its record, whatever order they arrive in and however often.
 * @returns undefined until a plan is among them
 */
export function foldRun(
  events: readonly RunEvent[],
  book: WorkingBook = closedWorkingBook,
): RunRecord | undefined {
  const ordered = inOrder(events)
  const planned = ordered.find((event) => event.kind === 'planned')
  if (planned?.kind !== 'planned') return undefined
  const frozen = planned.payload
  let state: RunRecord['state'] = 'planned'
  let startedAt: string | undefined
  let finishedAt: string | undefined
  let used: Used | undefined
  let details: RunDetails | undefined
  let person: EventPerson | undefined
  let counterSigned: RunRecord['counterSigned']
  let timed: TimedEntry | undefined
  const corrections: CorrectionShown[] = []
  for (const event of ordered) {
    switch (event.kind) {
      case 'planned':
        break
      case 'started':
        startedAt ??= event.at
        if (state === 'planned') state = 'running'
        break
      case 'used':
        used = event.payload
        break
      case 'finished':
        finishedAt ??= event.at
        details = event.payload
        person = event.person
        state = 'done'
        break
      case 'corrected': {
        const { payload } = event
        corrections.push({
          field: payload.field,
          was: entryOf(payload.field, used, details),
          now: payload.now,
          reason: payload.reason,
          at: event.at,
          ...(event.person && { by: event.person.name }),
        })
        used = used && correctUsed(used, payload)
        details = details && correctDetails(details, payload)
        break
      }
      case 'timed':
        timed = event.payload
        break
      case 'countersigned':
        if (event.person && !counterSigned)
          counterSigned = { name: event.person.name, licence: event.person.licence, at: event.at }
        break
      default:
        // Everything else is read by foldProgress.
        event satisfies RunEvent & CarriedBody
    }
  }
  const progress = foldProgress(ordered)
  // Whoever looked at the gate began when it was found fit to go.
  const went = progress.gates.find(({ decision }) => decision === 'go')
  if (went && startedAt !== undefined && state !== 'planned') startedAt = went.at
  // What was read at the gate is the weather of the record where nobody wrote another.
  if (details?.weather.trim() === '' && went) details = { ...details, weather: gateWeather(went.readings) }
  const endedAt = ordered.find(
    (event) => event.kind === 'stepped' && event.payload.step === 'rest' && event.payload.done === 'yes',
  )?.at
  // Who stopped and cleaned up before the record was written had finished by then.
  if (finishedAt !== undefined && endedAt !== undefined && endedAt < finishedAt) finishedAt = endedAt
  if (timed && finishedAt !== undefined)
    [startedAt, finishedAt] = [timed.from && sameInstant(timed.from), sameInstant(timed.to)]
  if (used && progress.strips.length > 0) used = { ...used, strips: progress.strips }
  const skew = skewText(ordered)
  const outcome = used ? outcomeOf(frozen.request, frozen.plan, used, book, judgingOf(frozen)) : undefined
  return {
    state,
    frozen,
    startedAt,
    ...(endedAt !== undefined && !timed && { endedAt }),
    ...(timed?.only && { only: timed.only }),
    finishedAt,
    used,
    details,
    corrections,
    progress,
    outcomes: outcome?.ok ? outcome.value.map((one) => asJudged(one, frozen)) : [],
    problems: outcome && !outcome.ok ? outcome.error : [],
    gaps: gapsOf(ordered),
    ...(skew !== undefined && { skew }),
    ...(person && { person }),
    ...(person && needsCounterSign(person.role) && !counterSigned && { awaitsCounterSign: true as const }),
    ...(counterSigned && { counterSigned }),
  }
}

/** In the one way instants are written here: as text they stand in their order. */
const sameInstant = (instant: string): string => new Date(instant).toISOString()

/** Where no rate was planned, none is held against what was used. */
function asJudged(outcome: JudgedOutcome, { earlier }: FrozenPlan): ProductOutcome {
  if (earlier !== 'as used') return outcome
  const { plannedRate: _p, deviation: _d, verdict: _v, ...used } = outcome
  return used
}

/** Each event once, by Lamport counter, then device, then the device's own sequence. */
function inOrder(events: readonly RunEvent[]): readonly RunEvent[] {
  const once = [...new Map(events.map((event) => [event.id, event])).values()]
  return once.toSorted(
    (a, b) => a.counter - b.counter || textOrder(a.deviceId, b.deviceId) || a.sequence - b.sequence,
  )
}

function gapsOf(events: readonly RunEvent[]): readonly string[] {
  const byDevice = new Map<string, number[]>()
  for (const { deviceId, sequence } of events)
    byDevice.set(deviceId, [...(byDevice.get(deviceId) ?? []), sequence])
  return [...byDevice]
    .filter(([, seen]) => Math.max(...seen) !== new Set(seen).size)
    .map(([device]) => device)
}

function entryOf(
  field: Correction['field'],
  used: Used | undefined,
  details: RunDetails | undefined,
): Correction['now'] | undefined {
  if (field === 'treated' || field === 'left' || field === 'made') return used?.[field]
  if (isPutIn(field)) return used?.putIn.find(({ productId }) => field === `putIn.${productId}`)?.amount
  if (isApart(field)) return used?.apart?.[placeOf(field)]
  return details?.[field]
}

const isApart = (field: Correction['field']): field is `apart.${number}` => field.startsWith('apart.')
const placeOf = (field: `apart.${number}`): number => Number(field.slice('apart.'.length))
const isPutIn = (field: Correction['field']): field is `putIn.${string}` => field.startsWith('putIn.')

function correctUsed(used: Used, correction: Correction): Used {
  if (correction.field === 'treated') return { ...used, treated: correction.now }
  if (correction.field === 'left' || correction.field === 'made')
    return { ...used, [correction.field]: correction.now }
  if (!isAmountCorrection(correction)) return used
  const { field, now } = correction
  if (isApart(field))
    return used.apart
      ? { ...used, apart: used.apart.map((amount, i) => (i === placeOf(field) ? now : amount)) }
      : used
  return {
    ...used,
    putIn: used.putIn.map((put) => (field === `putIn.${put.productId}` ? { ...put, amount: now } : put)),
  }
}

const isAmountCorrection = (correction: Correction): correction is AmountCorrection =>
  isPutIn(correction.field) || isApart(correction.field)

function correctDetails(details: RunDetails, { field, now }: Correction): RunDetails {
  return typeof now === 'string' && Object.hasOwn(details, field) ? { ...details, [field]: now } : details
}
