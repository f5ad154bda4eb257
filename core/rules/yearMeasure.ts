import { typedFigure } from '../quantity/entered'
import { activePerProduct } from '../label/activeContent'
import { limitPerArea } from '../label/asProduct'
import { limitAsProduct } from '../label/limitAsProduct'
import { NUTRIENT_NAMES, type RateBasis } from '../label/label'
import type { ProductDocument } from '../label/productShape'
import { readDensity } from '../label/read/readDensity'
import { nutrientOn } from '../plan/areaNutrients'
import { carrierOf } from '../plan/carrierOf'
import type { Quantity } from '../quantity/quantity'
import { rateUnitParts, type Dimension } from '../quantity/rateUnit'
import type { RateUnit } from '../quantity/units'
import { remembered } from '../remembered'
import { laidPerArea, type IndexedRow } from '../season/ledger'
import type { LibraryProduct } from '../draft/fromLibrary'
import { datesOf, perAreaOn, type RuleVisit, type VisitedArea, type VisitedProduct } from './visit'

/** What can be told of a sum, SI on each m2, and what stands outside it, by name. */
interface Counted {
  readonly known: number
  readonly unknown: readonly string[]
}

/**
 * A year's most as it is measured: product, one nutrient from every source, or one active under every name.
 * Source: trade.md 5.
 */
export interface YearMeasure {
  readonly of: 'product' | 'nutrient' | 'active'
  /** The product, "N", or the active. */
  readonly name: string
  /** SI on each m2. */
  readonly most: number
  /** In the unit in which the label prints its most. */
  readonly told: (perArea: number) => Quantity<RateUnit>
  /** Every row of a lawn that counts, of whatever year. */
  readonly rowsOn: (lawn: VisitedArea) => readonly IndexedRow[]
  readonly laid: (rows: readonly IndexedRow[]) => Counted
  /** What this application brings, over all the dates it stands for. */
  readonly now: (lawn: VisitedArea) => Counted
}

/** Every limit of the year that a line of a visit prints, each in its own measure. */
export function yearMeasures(line: VisitedProduct, context: RuleVisit): readonly YearMeasure[] {
  const own = ownMeasure(line, context)
  return [...(own ? [own] : []), ...activeMeasures(line, context)]
}

/** The most that the line prints, in what its rates count; that of an active is with the actives. */
function ownMeasure(line: VisitedProduct, context: RuleVisit): YearMeasure | undefined {
  const printed = line.says.year
  if (!printed || line.line.basis === 'active') return undefined
  const { basis } = line.line
  return basis === 'n' || basis === 'p2o5' || basis === 'k2o'
    ? nutrientMeasure(line, basis, printed, context)
    : productMeasure(line, printed, context)
}

function productMeasure(
  line: VisitedProduct,
  printed: Quantity<RateUnit>,
  context: RuleVisit,
): YearMeasure | undefined {
  const most = productMost(line, context)
  if (most === undefined) return undefined
  return {
    of: 'product',
    name: line.product.name,
    most,
    told: (perArea) => ({ value: (perArea / most) * printed.value, unit: printed.unit }),
    rowsOn: ({ ledger }) => ledger.byProduct.get(line.product.id) ?? [],
    laid: (rows) => ({ known: laidPerArea(rows)[line.dose.dimension], unknown: [] }),
    now: (lawn) => ({ known: perAreaOn(lawn, line) * datesOf(line), unknown: [] }),
  }
}

/** The year's most of a line as product on the ground, SI in the dose's own dimension. */
function productMost(line: VisitedProduct, { request }: RuleVisit): number | undefined {
  const printed = line.says.year
  const product = printed && limitAsProduct(line.planned, printed, line.line.basis)
  if (!product) return undefined
  const limit = limitPerArea(product, 'maxPerApplication', line.dose.dimension, {
    carrier: carrierOf(request.method),
    density: line.planned.density,
  })
  return limit.ok ? limit.value : undefined
}

/** A nutrient counts from whatever product it came. */
function nutrientMeasure(
  line: VisitedProduct,
  nutrient: Extract<RateBasis, 'n' | 'p2o5' | 'k2o'>,
  printed: Quantity<RateUnit>,
  context: RuleVisit,
): YearMeasure {
  const most = printed.value * rateUnitParts(printed.unit).factor
  return {
    of: 'nutrient',
    name: NUTRIENT_NAMES[nutrient],
    most,
    told: (perArea) => ({ value: (perArea / most) * printed.value, unit: printed.unit }),
    rowsOn: ({ ledger }) => ledger.rows,
    laid: (rows) => ({
      known: rows.reduce((sum, row) => (row.sizeM2 > 0 ? sum + (row[nutrient] ?? 0) / row.sizeM2 : sum), 0),
      unknown: rows.flatMap((row) => (row[nutrient] === null ? [row.product] : [])),
    }),
    now: (lawn) => {
      const { known, unknown } = nutrientOn(lawn.lawn.id, nutrient, context.request, context.plan)
      return { known: known * datesOf(line), unknown }
    },
  }
}

/** Each active whose year the line limits: as the label prints it, else as its own most holds of it. */
function activeMeasures(line: VisitedProduct, context: RuleVisit): readonly YearMeasure[] {
  const names = [...new Set(line.product.document.actives.map(({ name }) => nameOf(name)).filter(Boolean))]
  return names.flatMap((name, place) => {
    const most = activeMost(line, name, place, context)
    if (!most) return []
    const { si, printed } = most
    const lines = context.lines
      .filter(({ product }) => holds(product.document, name))
      .map((one) => ({
        line: one,
        per: contentIn(one.product.document, name, one.dose.dimension, one.planned.density),
      }))
    const contents = shelfContents(context.library.products)(name)
    return [
      {
        of: 'active' as const,
        name: line.product.document.actives.find((active) => nameOf(active.name) === name)?.name ?? name,
        most: si,
        told: (perArea: number) => ({ value: (perArea / si) * printed.value, unit: printed.unit }),
        rowsOn: ({ ledger }: VisitedArea) => ledger.byActive.get(name) ?? [],
        laid: contents,
        now: (lawn: VisitedArea) => activeNow(lines, lawn),
      },
    ]
  })
}

/** Kg of an active on each m2 in a year, and the figure that the label prints for it. */
function activeMost(
  line: VisitedProduct,
  name: string,
  place: number,
  context: RuleVisit,
): { readonly si: number; readonly printed: Quantity<RateUnit> } | undefined {
  const { year, yearActive } = line.says
  const printed = place === 0 ? (yearActive ?? (line.line.basis === 'active' ? year : undefined)) : undefined
  if (printed) return { si: printed.value * rateUnitParts(printed.unit).factor, printed }
  const product = productMost(line, context)
  const per = contentIn(line.product.document, name, line.dose.dimension, line.planned.density)
  return product !== undefined && per !== undefined && year ? { si: product * per, printed: year } : undefined
}

/** A line with what its product holds of an active, kg in each SI unit; undefined where nobody can tell. */
interface HeldLine {
  readonly line: VisitedProduct
  readonly per: number | undefined
}

/** What all products of the application that hold an active bring of it. */
function activeNow(lines: readonly HeldLine[], lawn: VisitedArea): Counted {
  return lines.reduce<Counted>(
    ({ known, unknown }, { line, per }) =>
      per === undefined
        ? { known, unknown: [...unknown, line.product.name] }
        : { known: known + perAreaOn(lawn, line) * per * datesOf(line), unknown },
    { known: 0, unknown: [] },
  )
}

const nameOf = (name: string) => name.trim().toLowerCase()

const holds = ({ actives }: Pick<ProductDocument, 'actives'>, name: string) =>
  actives.some((active) => nameOf(active.name) === name)

/** Kg of an active in each SI unit of product; undefined where the label does not tell. */
function contentIn(
  { actives }: Pick<ProductDocument, 'actives'>,
  name: string,
  dimension: Dimension,
  density: VisitedProduct['planned']['density'],
): number | undefined {
  const active = actives.find((one) => nameOf(one.name) === name)
  const content = active && typedFigure(active.content, 'content')
  return content && activePerProduct(content, dimension, density)
}

/** Kg of an active on each m2 of rows, by the labels of a shelf and of what is no longer on it. */
const shelfContents = remembered((products: readonly LibraryProduct[]) => {
  const known = new Map<string, (rows: readonly IndexedRow[]) => Counted>()
  return (name: string) => {
    const found = known.get(name) ?? countedAs(name, products)
    known.set(name, found)
    return found
  }
})

function countedAs(
  name: string,
  products: readonly LibraryProduct[],
): (rows: readonly IndexedRow[]) => Counted {
  const labels = new Map(products.map(({ id, document }) => [id, document]))
  const perUnit = new Map<string, number | undefined>()
  const contentOf = ({ sourceId, label, dimension }: IndexedRow): number | undefined => {
    const key = `${sourceId ?? ''} ${dimension}`
    if (perUnit.has(key)) return perUnit.get(key)
    const document = labels.get(sourceId ?? '') ?? label
    const content = document ? contentIn(document, name, dimension, readDensity(document.density)) : undefined
    perUnit.set(key, content)
    return content
  }
  return remembered((rows) => {
    let known = 0
    const unknown: string[] = []
    for (const row of rows) {
      const content = contentOf(row)
      if (content === undefined) unknown.push(row.product)
      else if (row.sizeM2 > 0) known += (row.amount / row.sizeM2) * content
    }
    return { known, unknown }
  })
}
