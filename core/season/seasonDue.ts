import { daysAfter } from '../calendar/daysBetween'
import { dayText } from '../calendar/dayText'
import type { NextOnLawn } from './nextOnLawn'

/** What one lawn asks for now. */
export interface LawnDue {
  readonly areaId: string
  readonly area: string
  readonly siteId: string
  readonly site: string
  readonly next: readonly NextOnLawn[]
  /** Steps of its program that are open or late. */
  readonly steps: readonly {
    readonly title: string
    readonly reason: string
    readonly to: string | undefined
    readonly state: string
  }[]
}

/** The same thing on several lawns of one site. */
export interface SiteDue {
  readonly what: string
  readonly siteId: string
  readonly site: string
  readonly areas: readonly { readonly id: string; readonly name: string }[]
  readonly reason: string
  readonly until: string | undefined
  readonly presses: boolean
  /** Nothing is planned before somebody looked. */
  readonly asks: NextOnLawn['asks']
}

/** Steps in their last days press; what is missed presses no more (decide.md 2). */
const LAST_DAYS = 3

/**
 * What all lawns ask for, site by site: what presses first, then what ends first. A lawn with a program is
 * told by its steps, any other by the windows of its season.
 */
export function seasonDue(lawns: readonly LawnDue[], today: string): readonly SiteDue[] {
  const soon = daysAfter(today, LAST_DAYS)
  const found = new Map<string, SiteDue>()
  for (const { areaId, area, siteId, site, next, steps } of lawns) {
    const own = [
      ...next.map((one) => ({ ...one, until: undefined })),
      ...steps.map(({ title, reason, to, state }) => ({
        what: title,
        reason:
          state === 'late'
            ? `${to === undefined ? 'Missed' : `Missed since ${dayText(to)}`}. ${reason}`
            : reason,
        until: to,
        presses: state === 'open' && to !== undefined && to <= soon,
        asks: 'work' as const,
      })),
    ]
    for (const one of own) {
      const key = `${siteId} ${one.what}`
      const before = found.get(key)
      const areas = [...(before?.areas ?? []), { id: areaId, name: area }]
      found.set(key, {
        ...(before ?? { ...one, siteId, site }),
        areas,
        presses: one.presses || (before?.presses ?? false),
      })
    }
  }
  return [...found.values()].toSorted(
    (a, b) => Number(b.presses) - Number(a.presses) || ((a.until ?? '9999') < (b.until ?? '9999') ? -1 : 1),
  )
}

/** The same thing over all sites. */
export interface CrewDue {
  readonly what: string
  readonly sites: readonly { readonly id: string; readonly name: string; readonly areas: number }[]
  /** A lawn it is about, to begin with. */
  readonly areaId: string
  readonly reason: string
  /** The first last day of it. */
  readonly until: string | undefined
  readonly presses: boolean
}

/** What is due site by site, told once for the crew; in the same order. */
export function acrossSites(due: readonly SiteDue[]): readonly CrewDue[] {
  const found = new Map<string, CrewDue>()
  for (const { what, siteId, site, areas, reason, until, presses } of due) {
    const before = found.get(what)
    const here = { id: siteId, name: site, areas: areas.length }
    const ends = [before?.until, until].filter((day) => day !== undefined).toSorted()
    found.set(what, {
      what,
      sites: [...(before?.sites ?? []), here],
      areaId: before?.areaId ?? areas[0]?.id ?? '',
      reason: before?.reason ?? reason,
      until: ends[0],
      presses: presses || (before?.presses ?? false),
    })
  }
  return [...found.values()]
}
