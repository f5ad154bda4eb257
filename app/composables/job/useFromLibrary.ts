import { v7 as uuid } from 'uuid'
import { DEFAULT_HOUSE } from '#core/house'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import * as filled from '#core/draft/filledFromLibrary'
import type { Calibration, Equipment } from '#shared/schemas/equipment'
import type { Product } from '#shared/schemas/product'

/** Fills an application from what this device has read of the crew's library. */
export function useFromLibrary() {
  const crew = useCrewStore()
  const library = useLibraryStore()
  const own = (): filled.FillingLibrary => ({
    areas: library.areas,
    equipment: library.equipment,
    calibrations: library.calibrations,
    system: crew.units,
    house: crew.organization?.settings.house ?? DEFAULT_HOUSE,
    newId: uuid,
  })
  return {
    filling: own,
    withAreas: filled.withAreas,
    withProduct: (
      document: ApplicationDraft,
      index: number,
      product: Product,
      lineId: string | undefined,
      day: string,
    ) => filled.withProduct(document, index, product, lineId, day, own()),
    withEquipment: (document: ApplicationDraft, machine: Equipment, day: string, chosen?: Calibration) =>
      filled.withEquipment(document, machine, day, own(), chosen),
  }
}
