import { v7 as uuid } from 'uuid'
import { DEFAULT_HOUSE } from '#core/house'
import type { ApplicationDraft } from '#core/draft/applicationDraft'
import {
  inForceFor,
  lawnFromArea,
  methodOf,
  noteFromLabel,
  nozzlesOn,
  spreadFrom,
  sprayFrom,
  stepFor,
} from '#core/draft/fromLibrary'
import { fittingLine } from '#core/label/fittingLine'
import type { Calibration, Equipment } from '#shared/schemas/equipment'
import type { Area } from '#shared/schemas/ground'
import type { Product } from '#shared/schemas/product'

/**
 * Fills an application from the crew's library: areas of a site, a label with its line, equipment with the
 * calibration in force.
 */
export function useFromLibrary() {
  const crew = useCrewStore()
  const library = useLibraryStore()

  const withAreas = (document: ApplicationDraft, areas: readonly Area[]): ApplicationDraft =>
    areas.length === 0 ? document : { ...document, lawns: areas.map((area) => lawnFromArea(area)) }

  /** @param lineId the label's line; the one that fits the job best where none is named */
  function withProduct(
    document: ApplicationDraft,
    index: number,
    product: Product,
    lineId: string | undefined,
    day: string,
  ): ApplicationDraft {
    const method = document.products.length === 1 ? methodOf(product.document) : document.method
    const treated = document.lawns.filter((lawn) => lawn.treated === 'yes').map((lawn) => lawn.source?.id)
    const wanted = {
      method:
        method === 'spread'
          ? ('spread' as const)
          : document.spray.calibration.by === 'hose-end'
            ? ('hose-end' as const)
            : ('tank' as const),
      grasses: [
        ...new Set(
          library.areas
            .filter(({ id }) => treated.includes(id))
            .flatMap((area) => area.document.grass.map(({ species }) => species)),
        ),
      ],
      turf: document.day?.turf ?? ('' as const),
    }
    const line =
      product.document.lines.find(({ id }) => id === lineId) ?? fittingLine(product.document.lines, wanted)
    const before = document.products[index]
    if (!line || !before) return document
    const note = noteFromLabel(
      product,
      line,
      before.id,
      stepFor(line.rate.unit, library.tools, method === 'spread' ? 'coarse' : 'fine'),
    )
    const filled = {
      ...document,
      method,
      products: document.products.map((one, i) => (i === index ? note : one)),
    }
    const machine =
      library.equipment.find(({ id }) => id === filled[method].source?.id) ?? defaultMachine(method)
    // The calibration depends on the product: a dial number means nothing without it.
    return index === 0 && machine && (filled[method].source !== undefined || filled[method].equipment === '')
      ? withEquipment(filled, machine, day)
      : filled
  }

  /** The only machine of its kind is the one that is meant. */
  function defaultMachine(method: ApplicationDraft['method']): Equipment | undefined {
    const fitting = library.equipment.filter(
      ({ document }) => document.kind === (method === 'spread' ? 'spreader' : 'sprayer'),
    )
    return fitting.length === 1 ? fitting[0] : undefined
  }

  /** @param chosen one of its calibrations; the one in force where none is chosen */
  function withEquipment(
    document: ApplicationDraft,
    machine: Equipment,
    day: string,
    chosen?: Calibration,
  ): ApplicationDraft {
    const { document: kind } = machine
    const house = crew.organization?.settings.house ?? DEFAULT_HOUSE
    const own = library.calibrations.filter(({ equipmentId }) => equipmentId === machine.id)
    if (kind.kind === 'spreader')
      return {
        ...document,
        spread: spreadFrom(
          { ...machine, document: kind },
          chosen ?? inForceFor(own, document, day, house),
          document.spread,
          uuid(),
          crew.units,
        ),
      }
    if (kind.kind === 'tool') return document
    const withNozzles = { ...document, spray: { ...document.spray, nozzles: nozzlesOn(kind.nozzles) } }
    return {
      ...document,
      spray: sprayFrom(
        { ...machine, document: kind },
        chosen ?? inForceFor(own, withNozzles, day, house),
        document.spray,
        uuid(),
        crew.units,
      ),
    }
  }
  return { withAreas, withProduct, withEquipment }
}
