import type { LibraryCalibration } from '../calibration/calibrationInForce'
import type { EquipmentDocument, ToolDocument } from '../calibration/equipmentShape'
import type { House } from '../house'
import { fittingLine } from '../label/fittingLine'
import type { UnitSystem } from '../quantity/systems'
import type { ApplicationDraft } from './applicationShape'
import {
  inForceFor,
  lawnFromArea,
  methodOf,
  noteFromLabel,
  nozzlesOn,
  spreadFrom,
  sprayFrom,
  stepFor,
  type LibraryArea,
  type LibraryProduct,
} from './fromLibrary'

export interface LibraryMachine {
  readonly id: string
  readonly version: number
  readonly name: string
  readonly document: EquipmentDocument
}
interface LibraryCourse extends LibraryCalibration {
  readonly equipmentId: string
}

/** What an application is filled from, and how: the crew's units and house, and where new ids come from. */
export interface FillingLibrary {
  readonly areas: readonly LibraryArea[]
  readonly equipment: readonly LibraryMachine[]
  readonly calibrations: readonly LibraryCourse[]
  readonly system: UnitSystem
  readonly house: House
  readonly newId: () => string
}

/** Saved areas as the lawns of an application; with none it stays as it is. */
export const withAreas = (document: ApplicationDraft, areas: readonly LibraryArea[]): ApplicationDraft =>
  areas.length === 0 ? document : { ...document, lawns: areas.map((area) => lawnFromArea(area)) }

/**
 * A label as one product of an application, by the line that is named or fits best; with its first product it
 * takes the machine that is meant.
 * @param day YYYY-MM-DD of the work
 */
export function withProduct(
  document: ApplicationDraft,
  index: number,
  product: LibraryProduct,
  lineId: string | undefined,
  day: string,
  library: FillingLibrary,
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
    stepFor(line.rate.unit, toolsOf(library), method === 'spread' ? 'coarse' : 'fine'),
  )
  const filled = {
    ...document,
    method,
    products: document.products.map((one, i) => (i === index ? note : one)),
  }
  const machine =
    library.equipment.find(({ id }) => id === filled[method].source?.id) ?? onlyMachine(method, library)
  // The calibration depends on the product: a dial number means nothing without it.
  return index === 0 && machine && (filled[method].source !== undefined || filled[method].equipment === '')
    ? withEquipment(filled, machine, day, library)
    : filled
}

const toolsOf = ({ equipment }: FillingLibrary): readonly ToolDocument[] =>
  equipment.flatMap(({ document }) => (document.kind === 'tool' ? [document] : []))

/** The only machine of its kind is the one that is meant. */
function onlyMachine(
  method: ApplicationDraft['method'],
  { equipment }: FillingLibrary,
): LibraryMachine | undefined {
  const fitting = equipment.filter(
    ({ document }) => document.kind === (method === 'spread' ? 'spreader' : 'sprayer'),
  )
  return fitting.length === 1 ? fitting[0] : undefined
}

/** @param chosen one of its calibrations; the one in force where none is chosen */
export function withEquipment(
  document: ApplicationDraft,
  machine: LibraryMachine,
  day: string,
  { calibrations, house, newId, system }: FillingLibrary,
  chosen?: LibraryCalibration,
): ApplicationDraft {
  const { document: kind } = machine
  const own = calibrations.filter(({ equipmentId }) => equipmentId === machine.id)
  if (kind.kind === 'spreader')
    return {
      ...document,
      spread: spreadFrom(
        { ...machine, document: kind },
        chosen ?? inForceFor(own, document, day, house),
        document.spread,
        newId(),
        system,
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
      newId(),
      system,
    ),
  }
}
