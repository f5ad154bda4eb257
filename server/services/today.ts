import { daysAfter } from '#core/calendar/daysBetween'
import { staleMachines, type StaleMachine } from '#core/calibration/staleMachines'
import { dueVisits } from '#core/season/repeatDue'
import { acrossSites, seasonDue } from '#core/season/seasonDue'
import { lowOf } from '#core/stock/onHand'
import type { Organization } from '#shared/schemas/organization'
import type { LastLaid, LowRow, Today } from '#shared/schemas/today'
import type { Repositories } from '../repositories/forOrganization'
import { nowFor, todayFor } from './clock'
import { aftercare } from './aftercare'
import { jobOutlooks } from './season/jobDays'
import { lawnsDue, type LawnSeason } from './season/seasonBoard'

/** Jobs are shown this many days ahead; unfinished ones this many back. */
const AHEAD_DAYS = 7
const BEHIND_DAYS = 30
/** Intervals longer ago than this are another season's. */
const REPEATS_SINCE_DAYS = 150
/** More is told on the season's own page. */
const MOST_SEASON = 6

/** All that the crew faces this morning, in one answer. */
export async function todayPage(repositories: Repositories, organization: Organization): Promise<Today> {
  const day = todayFor(organization)
  const now = nowFor(organization).toISOString()
  const { house } = organization.settings
  const { jobs, runs, records, ledger, finder } = repositories
  const [running, due, ahead, repeats, reentry, old, low, counts, jobCount] = await Promise.all([
    runs.running(),
    jobs.between(daysAfter(day, -BEHIND_DAYS), day, ['draft', 'planned']),
    jobs.between(daysAfter(day, 1), daysAfter(day, AHEAD_DAYS), ['draft', 'planned']),
    ledger.lastRepeats(daysAfter(day, -REPEATS_SINCE_DAYS)),
    records.reentryAfter(now),
    stale(repositories, day, house.calibrationDays),
    lowStock(repositories),
    finder.counts(),
    jobs.count(),
  ])
  const board = await lawnsDue(repositories, organization)
  const after = await aftercare(repositories, organization, now)
  const outlooks = await jobOutlooks(repositories, organization, day)
  return {
    day,
    now,
    running,
    jobs: due,
    ahead,
    due: dueVisits(withHeat(repeats, board), house.repeatMargin, day),
    season: acrossSites(seasonDue(board, day)).slice(0, MOST_SEASON),
    outlooks,
    reentry,
    ...after,
    stale: old,
    low,
    counts: { ...counts, jobs: jobCount },
  }
}

/** A regulator comes due by its heat units where they are counted, if that is sooner. */
const withHeat = (repeats: readonly LastLaid[], board: readonly LawnSeason[]): readonly LastLaid[] =>
  repeats.map((row) => ({
    ...row,
    heatDue: board
      .find(({ areaId }) => areaId === row.areaId)
      ?.regulators.find(({ product, since }) => product === row.product && since === row.on)?.due,
  }))

async function stale(
  { equipment, calibrations }: Repositories,
  day: string,
  days: number,
): Promise<readonly StaleMachine[]> {
  const [machines, kept] = await Promise.all([equipment.list(), calibrations.list()])
  return staleMachines(machines, kept, day, days)
}

async function lowStock({ products, stock }: Repositories): Promise<readonly LowRow[]> {
  const [all, sums] = await Promise.all([products.list(), stock.sums()])
  return all.flatMap(({ id, name, document }) =>
    lowOf(document, sums.get(id) ?? []).map(({ dimension, amount }) => ({
      productId: id,
      product: name,
      dimension,
      amount,
    })),
  )
}
