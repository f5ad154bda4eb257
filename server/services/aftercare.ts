import { lengthSi } from '#core/quantity/quantity'
import { lookDue } from '#core/run/aftercare/lookDue'
import { storedProgress } from '#core/run/progress'
import { waterStanding } from '#core/run/aftercare/waterIn'
import { daysAfter } from '#core/calendar/daysBetween'
import type { Organization } from '#shared/schemas/organization'
import type { LookRow, WaterRow } from '#shared/schemas/today'
import type { Repositories } from '../repositories/forOrganization'
import { dayFor, todayFor } from './clock'

/** What was treated longer ago is watered in or lost, and is looked at no more, days. */
const WATER_DAYS = 7
const LOOK_DAYS = 60

/** What still waits behind work that is done: water that nobody has confirmed, lawns to be looked at. */
export async function aftercare(
  { records }: Pick<Repositories, 'records'>,
  organization: Organization,
  now: string,
): Promise<{ readonly water: readonly WaterRow[]; readonly looks: readonly LookRow[] }> {
  const today = todayFor(organization)
  const recent = await records.since(`${daysAfter(today, -LOOK_DAYS)}T00:00:00.000Z`)
  const waterFrom = daysAfter(today, -WATER_DAYS)
  const rows = recent.map(({ id, site, products, finishedAt, document }) => ({
    row: { applicationId: id, site, products },
    finishedAt,
    day: dayFor(organization, new Date(finishedAt)),
    limits: document.frozen.limits,
    progress: storedProgress(document),
  }))
  return {
    water: rows.flatMap(({ row, finishedAt, day, limits, progress }): readonly WaterRow[] => {
      if (day < waterFrom || !limits) return []
      const standing = waterStanding(
        { depth: limits.waterDepth, withinHours: limits.waterHours },
        finishedAt,
        progress.watered.map(({ depth }) => lengthSi(depth)),
        now,
      )
      const { state, left, until } = standing
      return state === 'waiting' || state === 'late' ? [{ ...row, state, left, until: until ?? null }] : []
    }),
    looks: rows.flatMap(({ row, day, limits, progress }): readonly LookRow[] => {
      const due = limits && lookDue(limits.kinds, day, progress.looks)
      return due !== undefined && due <= today ? [{ ...row, due }] : []
    }),
  }
}
