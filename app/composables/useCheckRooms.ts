import { workDay } from '#core/calendar/workDay'
import { DEFAULT_HOUSE } from '#core/house'
import type { ApplicationSheet } from '#core/jobsheet/applicationSheet'
import type { ApplicationDocument } from '#core/jobsheet/document'
import type { CheckRooms } from '#core/jobsheet/labelContext'
import { roomChecks } from '#core/jobsheet/roomChecks'
import type { SheetCheck } from '#core/jobsheet/sheetCheck'
import { sortChecks } from '#core/plan/planChecks'

/** Checks of sheets that stand outside their own screen: on paper, in a day. */
export function useCheckRooms() {
  const crew = useCrewStore()
  const rooms = useRoomsStore()
  const house = computed(() => crew.organization?.settings.house ?? DEFAULT_HOUSE)

  /**
   * Every check of an application: its own sheet's, and those against labels, lawns, ledger and local rules.
   */
  function allChecks(
    document: ApplicationDocument,
    sheet: ApplicationSheet,
    site: Pick<CheckRooms, 'areas' | 'history'>,
    plannedFor: string,
  ): readonly SheetCheck[] {
    const { local = [], mixes = [] } = crew.organization?.settings ?? {}
    const known = { areas: site.areas, history: site.history, products: rooms.products, local, mixes }
    return sortChecks(
      [
        ...sheet.checks,
        ...roomChecks(document, sheet, known, workDay(plannedFor, crew.today()), house.value),
      ],
      document.products.map(({ id }) => id),
    )
  }
  return { allChecks, house }
}
