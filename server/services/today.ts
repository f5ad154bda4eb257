import { daysAfter, daysBetween } from '#core/calendar/daysBetween'
import { calibrationAge, newestDay } from '#core/calibration/calibrationAge'
import { readNotNegative } from '#core/quantity/entered'
import { amountFactor } from '#core/quantity/quantity'
import { dimensionOf } from '#core/quantity/rateUnit'
import { coveredTo, repeatDue } from '#core/season/repeatDue'
import { isLow } from '#core/stock/onHand'
import type { Organization } from '#shared/schemas/organization'
import type { DueRow, LowRow, StaleRow, Today } from '#shared/schemas/today'
import type { Repositories } from '../repositories/forOrganization'
import type { LastLaid } from '../repositories/ledger'
import { nowFor, todayFor } from './clock'

/** Jobs are shown this many days ahead; unfinished ones this many back. */
const AHEAD_DAYS = 7
const BEHIND_DAYS = 30
/** Intervals longer ago than this are another season's. */
const REPEATS_SINCE_DAYS = 150
/** A repeat missed by more than this is no longer news. */
const LATE_DAYS = 30

/** All that the crew faces this morning, in one answer. */
export async function todayPage(repositories: Repositories, organization: Organization): Promise<Today> {
  const day = todayFor(organization)
  const now = nowFor(organization).toISOString()
  const { house } = organization.settings
  const { jobs, runs, records, ledger, finder } = repositories
  const [running, due, ahead, repeats, reentry, stale, low, counts, jobCount] = await Promise.all([
    runs.running(),
    jobs.between(daysAfter(day, -BEHIND_DAYS), day, ['draft', 'planned']),
    jobs.between(daysAfter(day, 1), daysAfter(day, AHEAD_DAYS), ['draft', 'planned']),
    ledger.lastRepeats(daysAfter(day, -REPEATS_SINCE_DAYS)),
    records.reentryAfter(now),
    staleCalibrations(repositories, day, house.calibrationDays),
    lowStock(repositories),
    finder.counts(),
    jobs.count(),
  ])
  return {
    day,
    now,
    running,
    jobs: due,
    ahead,
    due: dueRows(repeats, house.repeatMargin, day),
    reentry,
    stale,
    low,
    rooms: { ...counts, jobs: jobCount },
  }
}

/** Repeats of one product on one site that fall on the same day are one visit. */
function dueRows(repeats: readonly LastLaid[], margin: number, day: string): readonly DueRow[] {
  const visits = new Map<string, DueRow>()
  for (const { areaId: _, area, repeatDays, lastsDays, ...last } of repeats) {
    const due = repeatDue(last.on, repeatDays, margin, day)
    if (due.state === 'later' || daysBetween(due.lastDay, day) > LATE_DAYS) continue
    const key = `${last.siteId ?? last.site} ${last.product} ${last.on}`
    const before = visits.get(key)
    visits.set(
      key,
      before
        ? { ...before, areas: `${before.areas}, ${area}` }
        : { ...last, ...due, areas: area, repeatDays, coveredTo: coveredTo(last.on, lastsDays) },
    )
  }
  return [...visits.values()].toSorted((a, b) => a.inDays - b.inDays || (a.product < b.product ? -1 : 1))
}

async function staleCalibrations(
  { equipment, calibrations }: Repositories,
  day: string,
  days: number,
): Promise<readonly StaleRow[]> {
  const [all, kept] = await Promise.all([equipment.list(), calibrations.list()])
  return all
    .filter(({ document }) => document.kind !== 'tool')
    .flatMap(({ id, name }) => {
      const on = newestDay(
        kept.filter(({ equipmentId }) => equipmentId === id).map(({ document }) => document.course.on),
        day,
      )
      const age = calibrationAge(on, day, days)
      return age.state === 'fresh' ? [] : [{ equipmentId: id, equipment: name, on, days: age.days ?? 0 }]
    })
}

async function lowStock({ products, stock }: Repositories): Promise<readonly LowRow[]> {
  const [all, sums] = await Promise.all([products.list(), stock.sums()])
  return all.flatMap(({ id, name, document }) => {
    const read = readNotNegative(document.reorderAt, 'amount', 'Reorder at')
    return (sums.get(id) ?? [])
      .filter((there) =>
        isLow(
          there,
          read.ok && dimensionOf(read.value.unit) === there.dimension
            ? read.value.value * amountFactor(read.value.unit)
            : undefined,
        ),
      )
      .map(({ dimension, amount }) => ({ productId: id, product: name, dimension, amount }))
  })
}
