import { textOrder } from '../quantity/textOrder'
import { daysAfter, daysBetween } from '../calendar/daysBetween'
import { countIn, type ProductKind } from '../label/productDocument'
import { dayText } from '../calendar/dayText'
import type { Entered } from '../quantity/entered'
import type { RateUnit } from '../quantity/units'
import type { ProgramDocument, ProgramStep, StepChange } from './programShape'
import { stepDates, workYear, type StepDates, type StepSeason } from './stepDates'

export type IntentionState =
  'ahead' | 'open' | 'late' | 'missed' | 'planned' | 'done' | 'left out' | 'unknown'

/** A step of a program on one area, dated as the season stands. */
export interface Intention extends StepDates {
  readonly stepId: string
  /** Which of its repeats, from 0. */
  readonly occurrence: number
  readonly title: string
  readonly kind: ProductKind | ''
  readonly productId: string
  readonly nitrogen: Entered<RateUnit>
  readonly state: IntentionState
  /** The day it was done on, or is planned for. */
  readonly on?: string | undefined
  readonly jobId?: string | undefined
}

/** Something laid, or planned to be, on the area. */
export interface WorkOnArea {
  readonly on: string
  readonly kind: ProductKind | ''
  readonly product: string
  /** The job it is planned in; absent: it is done. */
  readonly jobId?: string
}

/**
 * Work counts for a step so many days before its first day and after its last; where the weather tells the
 * days, a cold spring may put them long after the work.
 */
const EARLY_DAYS = 30
const EARLY_BY_WEATHER_DAYS = 60
const AFTER_DAYS = 60
/** Past its days it is late for so long, then missed. */
const LATE_DAYS = 30
/** Repeats of one step; more is no program. */
const MOST_REPEATS = 26

/**
 * The steps of a program on one area as dated intentions; each moves as the season does.
 * @param work what was laid there and what jobs are planned, each counts for one step
 * @param productName a saved product's name, by its id
 */
export function intentions(
  { steps }: ProgramDocument,
  changes: readonly StepChange[],
  season: StepSeason,
  work: readonly WorkOnArea[],
  productName: (id: string) => string | undefined,
): readonly Intention[] {
  const year = workYear(season.today, season.latitude)
  const pool = new Set(
    work
      .filter(({ on }) => on >= year.from && on <= year.to)
      .toSorted(
        (a, b) => Number(a.jobId !== undefined) - Number(b.jobId !== undefined) || textOrder(a.on, b.on),
      ),
  )
  const named = new Set(
    [...steps, ...changes].flatMap(({ productId }) =>
      productId === '' ? [] : (productName(productId) ?? []),
    ),
  )
  const dated = new Map<string, readonly Intention[]>()
  for (const step of inOrder(steps)) {
    const waits = step.when.by === 'after' ? dated.get(step.when.step)?.at(-1) : undefined
    const first = neverApplied(waits)
      ? waitsForNothing(waits.title)
      : stepDates(step.when, season, earliestOf(waits, season.today))
    dated.set(step.id, repeatsOf(step, first))
  }
  return steps.flatMap(({ id }) => dated.get(id) ?? [])

  function repeatsOf(step: ProgramStep, first: StepDates): readonly Intention[] {
    const own = changes.find((one) => one.stepId === step.id && one.occurrence === 0)
    const times = Math.min(countIn(own?.times || step.times) ?? 1, MOST_REPEATS)
    const every = countIn(own?.every || step.every) ?? 0
    const found: Intention[] = []
    for (let occurrence = 0; occurrence < times; occurrence++) {
      const last = found.at(-1)
      const dates = last ? following(last, every, first) : first
      const change = changes.find((one) => one.stepId === step.id && one.occurrence === occurrence)
      const productId = change?.productId || step.productId
      const name = productId === '' ? undefined : productName(productId)
      const done = takeWork(step, dates, name, change, times === 1)
      found.push({
        ...dates,
        stepId: step.id,
        occurrence,
        title: step.title + (times > 1 ? `, ${occurrence + 1} of ${times}` : ''),
        kind: step.kind,
        productId,
        nitrogen: change?.nitrogen.text.trim() ? change.nitrogen : step.nitrogen,
        ...(done && { on: done.on, jobId: done.jobId }),
        state: change?.leaveOut
          ? 'left out'
          : done
            ? done.jobId === undefined
              ? 'done'
              : 'planned'
            : stateOf(dates, season.today),
      })
    }
    return found
  }

  function takeWork(
    step: ProgramStep,
    { from, to }: StepDates,
    name: string | undefined,
    change: StepChange | undefined,
    isSingle: boolean,
  ): Pick<WorkOnArea, 'on' | 'jobId'> | undefined {
    if (change?.leaveOut) return undefined
    if (change?.doneOn) return { on: change.doneOn }
    if (step.kind === '' || from === undefined) return undefined
    const early = step.when.by === 'window' || step.when.by === 'soil' ? EARLY_BY_WEATHER_DAYS : EARLY_DAYS
    const [earliest, latest] = [daysAfter(from, -early), daysAfter(to ?? from, AFTER_DAYS)]
    const near = [...pool].filter(({ on, kind }) => kind === step.kind && on >= earliest && on <= latest)
    // Another product of its kind did a single step too, unless a step of its own asks for that one.
    const found =
      near.find(({ product }) => name === undefined || product === name) ??
      (isSingle ? near.find(({ product }) => !named.has(product)) : undefined)
    if (found) pool.delete(found)
    return found
  }
}

/** What follows it has nothing to follow. */
const neverApplied = (one: Intention | undefined): one is Intention =>
  one !== undefined && (one.state === 'missed' || one.state === 'left out')

const waitsForNothing = (title: string): StepDates => ({
  from: undefined,
  to: undefined,
  reason: `It follows ${title}, which was not applied.`,
})

/** The day that what waits for it counts from: its own once it is known, else no earlier than today. */
function earliestOf(one: Intention | undefined, today: string): string | undefined {
  if (one?.on !== undefined || one?.from === undefined) return one?.on
  return one.from < today ? today : one.from
}

/** The day that its next repeat counts from. */
const dayOf = (one: Intention | undefined): string | undefined => one?.on ?? one?.from

/** The next of a series: so many days after the one before, by the day it was really done on. */
function following(last: Intention, every: number, first: StepDates): StepDates {
  const base = dayOf(last)
  if (base === undefined) return { from: undefined, to: undefined, reason: first.reason }
  const length = first.from && first.to ? Math.min(every, daysBetween(first.from, first.to)) : every
  const from = daysAfter(base, every)
  return {
    from,
    to: daysAfter(from, Math.max(1, Math.min(length, Math.ceil(every / 3)))),
    reason: `${every} days after ${dayText(base)}`,
  }
}

function stateOf({ from, to }: StepDates, today: string): IntentionState {
  if (from === undefined) return 'unknown'
  if (today < from) return 'ahead'
  if (to === undefined || today <= to) return 'open'
  return daysBetween(to, today) <= LATE_DAYS ? 'late' : 'missed'
}

/** Steps after those they wait for; a circle is read as it stands. */
function inOrder(steps: readonly ProgramStep[]): readonly ProgramStep[] {
  const ordered: ProgramStep[] = []
  let left = steps
  while (left.length > 0) {
    const ready = left.filter(({ when }) => when.by !== 'after' || !left.some(({ id }) => id === when.step))
    const next = ready.length > 0 ? ready : left
    ordered.push(...next)
    left = left.filter((step) => !next.includes(step))
  }
  return ordered
}
