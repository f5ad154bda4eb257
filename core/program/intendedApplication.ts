import { blankApplication } from '../draft/blankApplication'
import type { ApplicationDraft } from '../draft/applicationShape'
import { withAreas, withEquipment, withProduct, type FillingLibrary } from '../draft/filledFromLibrary'
import type { LibraryArea, LibraryProduct } from '../draft/fromLibrary'
import type { Entered } from '../quantity/entered'
import type { RateUnit } from '../quantity/units'

/** What is intended on some areas: a product, and for a feed the nitrogen it is to bring. */
export interface IntendedWork {
  readonly product: LibraryProduct
  readonly nitrogen: Entered<RateUnit>
}

/**
 * An intention as the application it becomes: its areas, its label's line, its only machine.
 * @param on YYYY-MM-DD
 */
export function intendedApplication(
  { product, nitrogen }: IntendedWork,
  areas: readonly LibraryArea[],
  on: string,
  library: FillingLibrary,
): ApplicationDraft {
  const { newId } = library
  const blank = blankApplication(
    { lawn: newId(), part: newId(), product: newId(), run: newId() },
    'spray',
    library.system,
  )
  const filled = withProduct(withAreas(blank, areas), 0, product, undefined, on, library)
  const feeds = nitrogen.text.trim() !== '' && product.document.analysis.n.text.trim() !== ''
  return feeds
    ? {
        ...filled,
        products: filled.products.map((note) => ({ ...note, rate: nitrogen, basis: 'n' as const })),
      }
    : filled
}

/**
 * The same on some machine that is calibrated, where the crew has several: amounts of a spray need one, and a
 * limit of the label does not depend on which.
 */
export function onSomeMachine(
  draft: ApplicationDraft,
  on: string,
  library: FillingLibrary,
): ApplicationDraft {
  if (draft[draft.method].source !== undefined) return draft
  const kind = draft.method === 'spread' ? 'spreader' : 'sprayer'
  const machine = library.equipment.find(
    ({ id, document }) =>
      document.kind === kind && library.calibrations.some(({ equipmentId }) => equipmentId === id),
  )
  return machine ? withEquipment(draft, machine, on, library) : draft
}
