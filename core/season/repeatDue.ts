import { wholeSteps } from '../quantity/tolerance'
import { daysAfter, daysBetween } from '../calendar/daysBetween'

/** When an application is to be repeated, and how that stands today. */
export interface RepeatDue {
  /** Day planned for, the house margin early. */
  readonly due: string
  /** Last day of the label's interval: after it, protection has a gap. */
  readonly lastDay: string
  readonly state: 'later' | 'soon' | 'due' | 'late'
  /** Whole days from today to the planned day; negative once it has passed. */
  readonly inDays: number
}

/** What brings a repeat forward, and what holds it back. */
export interface RepeatCalls {
  readonly heatDue?: string | undefined
  readonly shortest?: number | undefined
}

/** This many days ahead a repeat is called soon. */
const SOON_DAYS = 10

/**
 * The next repeat of an application.
 * @param on day it was laid down
 * @param interval the label's longest interval in days
 * @param margin share of it taken early, 0.1 is 10 %
 * @param calls the day its heat units are reached, where that is known, and the label's shortest interval, d:
 *   no repeat is due before it is over
 * Source: trade.md 10 (an interval a little shorter than the label's control period).
 * @example repeatDue('2026-04-10', 28, 0.1, '2026-05-06') // due 2026-05-05 (25.2 days, taken whole), last
 *   day 2026-05-08
 */
export function repeatDue(
  on: string,
  interval: number,
  margin: number,
  today: string,
  { heatDue = '9999-12-31', shortest = 0 }: RepeatCalls = {},
): RepeatDue {
  const free = daysAfter(on, Math.ceil(shortest))
  const earlier = (day: string) => {
    const called = heatDue < day ? heatDue : day
    return called < free ? free : called
  }
  const due = earlier(daysAfter(on, wholeSteps(interval * (1 - margin))))
  const lastDay = earlier(daysAfter(on, wholeSteps(interval)))
  const inDays = daysBetween(today, due)
  return {
    due,
    lastDay,
    inDays,
    state:
      daysBetween(today, lastDay) < 0 ? 'late' : inDays <= 0 ? 'due' : inDays <= SOON_DAYS ? 'soon' : 'later',
  }
}

/**
 * The last day a product works, by its label; null where the label does not say how long it lasts. When it
 * may
 * be repeated is another matter.
 * @example coveredTo('2026-04-10', 90) // '2026-07-09'
 */
export const coveredTo = (on: string, lastsDays: number | null): string | null =>
  lastsDays === null ? null : daysAfter(on, wholeSteps(lastsDays))

/** The last of one product on one area, as the ledger has it. */
export interface LastOnArea {
  readonly areaId: string
  readonly area: string
  readonly siteId: string | null
  readonly site: string
  readonly product: string
  readonly on: string
  /** The label's longest interval; null where it prints none. */
  readonly repeatDays: number | null
  /** The label's shortest interval, d; null where it prints none. */
  readonly repeatFrom?: number | null | undefined
  /** Days it works by its label; null where the label does not say. */
  readonly lastsDays: number | null
  /** The day a regulator's heat units are reached. */
  readonly heatDue?: string | undefined
}

/** A visit that falls due: its areas in words. */
export type DueVisit<R extends LastOnArea> = Omit<
  R,
  'areaId' | 'area' | 'lastsDays' | 'heatDue' | 'repeatFrom'
> &
  RepeatDue & {
    readonly areas: string
    readonly areaIds: readonly string[]
    readonly coveredTo: string | null
  }

/** A repeat missed by more than this is no longer news. */
const LATE_DAYS = 30

/** Repeats of one product on one site that fall on the same day are one visit; the nearest first. */
export function dueVisits<R extends LastOnArea>(
  repeats: readonly R[],
  margin: number,
  day: string,
): readonly DueVisit<R>[] {
  const visits = new Map<string, DueVisit<R>>()
  for (const { areaId, area, lastsDays, heatDue, repeatFrom, ...last } of repeats) {
    const { repeatDays } = last
    // What has worn off leaves a gap, whenever the label lets it be repeated.
    const interval = Math.min(repeatDays ?? Number.POSITIVE_INFINITY, lastsDays ?? Number.POSITIVE_INFINITY)
    if (!Number.isFinite(interval)) continue
    const due = repeatDue(last.on, interval, margin, day, {
      heatDue,
      shortest: repeatFrom ?? undefined,
    })
    if (due.state === 'later' || daysBetween(due.lastDay, day) > LATE_DAYS) continue
    const key = `${last.siteId ?? last.site} ${last.product} ${last.on} ${due.due}`
    const before = visits.get(key)
    visits.set(
      key,
      before
        ? { ...before, areas: `${before.areas}, ${area}`, areaIds: [...before.areaIds, areaId] }
        : { ...last, ...due, areas: area, areaIds: [areaId], coveredTo: coveredTo(last.on, lastsDays) },
    )
  }
  return [...visits.values()].toSorted((a, b) => a.inDays - b.inDays || (a.product < b.product ? -1 : 1))
}
