import type { ApplicationDraft } from '../../draft/applicationShape'
import type { LibraryArea, LibraryProduct } from '../../draft/fromLibrary'
import { dayWants } from '../../job/dayWants'
import type { ProductKind } from '../../label/productDocument'
import { lineSays } from '../../label/read/readLine'
import type { UnitSystem } from '../../quantity/systems'
import { celsius } from '../../quantity/temperature'
import type { DayWants } from '../../season/whichDay'

/**
 * What labels and house ask of the hour in which an application goes out; SI, undefined: nothing is asked.
 */
export interface GateLimits extends DayWants {
  readonly method: ApplicationDraft['method']
  /** Whether it is to stay on the leaf. */
  readonly forLeaf: 'yes' | 'no'
  /** °C */
  readonly soilFrom?: number | undefined
  readonly soilTo?: number | undefined
  readonly kinds: readonly ProductKind[]
}

/** What is asked where no label is known: of plans frozen before labels went with them. */
export const limitsWithoutLabels = (
  { method, fate }: Pick<ApplicationDraft, 'method' | 'fate'>,
  units: UnitSystem,
): GateLimits => ({
  method,
  forLeaf: fate?.where === 'leaf' ? 'yes' : 'no',
  dryLeaf: 'no matter',
  irrigation: 'none',
  mownOn: [],
  kinds: [],
  units,
})

/** The strictest of what the labels of one application ask. */
export function gateLimits(
  draft: ApplicationDraft,
  products: readonly LibraryProduct[],
  areas: readonly LibraryArea[],
  units: UnitSystem,
): GateLimits {
  const found = draft.products.flatMap(({ source }) => {
    const product = source && products.find(({ id }) => id === source.id)
    const line = product?.document.lines.find(({ id }) => id === source?.line)
    return product ? [{ document: product.document, figures: line && lineSays(line).figures }] : []
  })
  const soils = (name: 'soilFrom' | 'soilTo') =>
    found.flatMap(({ figures }) => {
      const read = figures?.[name]
      return read ? [celsius(read)] : []
    })
  const [froms, tos] = [soils('soilFrom'), soils('soilTo')]
  return {
    ...dayWants([draft], products, areas, units),
    method: draft.method,
    forLeaf: draft.fate?.where === 'leaf' ? 'yes' : 'no',
    soilFrom: froms.length > 0 ? Math.max(...froms) : undefined,
    soilTo: tos.length > 0 ? Math.min(...tos) : undefined,
    kinds: [...new Set(found.map(({ document }) => document.kind))],
  }
}
