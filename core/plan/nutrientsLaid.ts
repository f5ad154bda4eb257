import { elementOf, NUTRIENT_NAMES, NUTRIENTS, type Nutrient } from '../label/label'
import { densitySi } from '../quantity/quantity'
import { nutrientText } from '../quantity/nutrientText'
import type { UnitSystem } from '../quantity/systems'
import { asEntered, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import type { ResolvedProduct } from './resolveProducts'

export interface NutrientsSum {
  /**
   * Kg on each m2; null where a product poured by volume has an analysis but no density: not known, so not
   * told.
   */
  readonly laid: Readonly<Record<Nutrient, number>> | null
  /** Nitrogen that is not slow release, kg on each m2, of the products whose mass is known. */
  readonly quickN: number
  readonly unknown: readonly ResolvedProduct[]
}

/**
 * Nutrients on the lawn from unrounded amounts; dead volume is not on the lawn.
 * Source: mass of product x per cent of the analysis.
 */
export function nutrientsLaid(
  products: readonly ResolvedProduct[],
  book: WorkingBook,
  units?: UnitSystem,
): NutrientsSum {
  const fed = products.filter(({ product }) =>
    NUTRIENTS.some((nutrient) => (product.analysis?.[nutrient] ?? 0) > 0),
  )
  const unknown = fed.filter((resolved) => massPerArea(resolved) === undefined)
  const known = fed.filter((resolved) => massPerArea(resolved) !== undefined)
  const sum = (nutrient: Nutrient) =>
    known.reduce((total, resolved) => total + nutrientRate(resolved, nutrient), 0)
  const quickN = known.reduce(
    (total, resolved) =>
      total + nutrientRate(resolved, 'n') * (1 - (resolved.product.analysis?.slowN ?? 0) / 100),
    0,
  )
  if (unknown.length > 0) return { laid: null, quickN, unknown }
  const laid = { n: sum('n'), p2o5: sum('p2o5'), k2o: sum('k2o'), fe: sum('fe') }
  for (const nutrient of NUTRIENTS)
    book.note(`nutrients.${nutrient}`, () => nutrientLines(known, nutrient, laid[nutrient], units))
  return { laid, quickN, unknown }
}

/** Kg of one nutrient from one product on each m2. */
function nutrientRate(resolved: ResolvedProduct, nutrient: Nutrient): number {
  const percent = resolved.product.analysis?.[nutrient] ?? 0
  return ((massPerArea(resolved) ?? 0) * percent) / 100
}

function massPerArea({ dose, product }: ResolvedProduct): number | undefined {
  if (dose.dimension === 'mass') return dose.perArea
  return product.density && dose.perArea * densitySi(product.density)
}

function nutrientLines(
  products: readonly ResolvedProduct[],
  nutrient: Nutrient,
  total: number,
  units: UnitSystem | undefined,
): readonly string[] {
  const told = (perArea: number, name = '') => nutrientText(perArea, name, units, sixDigits)
  const parts = products
    .filter(({ product }) => (product.analysis?.[nutrient] ?? 0) > 0)
    .map((resolved) => {
      const { product } = resolved
      return (
        `${product.name ?? product.id} at ${asEntered(product.rate)}: ` +
        `${told(massPerArea(resolved) ?? 0)} of product x ${product.analysis?.[nutrient]} % ` +
        `= ${told(nutrientRate(resolved, nutrient))}`
      )
    })
  const name = NUTRIENT_NAMES[nutrient]
  const element = total > 0 ? elementOf(nutrient) : undefined
  return [
    ...(parts.length > 0 ? parts : [`no product of this application carries ${name}`]),
    ...(element
      ? [`as ${element.name}: x ${element.share} = ${told(total * element.share, element.name)}`]
      : []),
    `${name} applied = ${told(total)}`,
  ]
}
