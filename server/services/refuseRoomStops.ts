import { daysAfter } from '#core/calendar/daysBetween'
import type { House } from '#core/house'
import type { ApplicationDocument } from '#core/jobsheet/document'
import type { PlannedSheet } from '#core/jobsheet/plannedSheet'
import { roomChecks } from '#core/jobsheet/roomChecks'
import type { LocalRule, MixNote } from '#core/localRules'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'

/** The crew's own rules a run is held against before it starts. */
export interface CrewRules {
  readonly local: readonly LocalRule[]
  readonly mixes: readonly MixNote[]
}

/** How far back the ledger is read: a calendar year and what an interval may reach over. */
const DAYS_BACK = 500

/**
 * A run does not start against a label, what lies on the lawn already or a local rule, whatever the screen
 * that asked showed.
 * @param day YYYY-MM-DD on which it starts. Fails with `not-ready` and the first stop.
 */
export async function refuseRoomStops(
  { areas, products, ledger }: Pick<Repositories, 'areas' | 'products' | 'ledger'>,
  siteId: string | null,
  document: ApplicationDocument,
  sheet: PlannedSheet,
  day: string,
  house: House,
  rules: CrewRules,
): Promise<void> {
  if (siteId === null) return
  const rooms = {
    areas: await areas.list({ siteId }),
    products: await products.list(),
    history: await ledger.ofSite(siteId, daysAfter(day, -DAYS_BACK), day),
    ...rules,
  }
  const stop = roomChecks(document, sheet, rooms, day, house).find(({ level }) => level === 'stop')
  if (stop) throw failure('not-ready', `A stop must be cleared first: ${stop.message}`)
}
