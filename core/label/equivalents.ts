import { typedFigure } from '../quantity/entered'
import type { Quantity } from '../quantity/quantity'
import { rateUnitParts } from '../quantity/rateUnit'
import type { RateUnit } from '../quantity/units'
import { asEntered, sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { activePerProduct } from './activeContent'
import type { ProductDocument } from './productShape'

/** A product that brings the same, and the rate that brings as much of it. */
export interface Equivalent {
  readonly id: string
  readonly name: string
  readonly by: 'active' | 'nitrogen'
  /** What counts: the active's name, or N. */
  readonly what: string
  readonly rate: Quantity<RateUnit>
}

export interface Shelved {
  readonly id: string
  readonly name: string
  readonly document: ProductDocument
}

/**
 * The first rate of a label's first line that other products can be held against; undefined for a target of
 * nutrient or active.
 */
export function comparedRate({ lines: [line] }: ProductDocument): Quantity<RateUnit> | undefined {
  const printed = [line?.rate, line?.low, line?.high].find((entered) => entered?.text.trim())
  return line?.basis === 'product' && printed ? typedFigure(printed, 'rate') : undefined
}

const activesOf = ({ actives }: ProductDocument) =>
  actives
    .map(({ name }) => name.trim().toLowerCase())
    .filter(Boolean)
    .toSorted()

/**
 * Other products of the library with the same actives, or (where there are none) the same kind of feed, with
 * the rate converted.
 * @param rate of the product itself, per ground; a dilution has none
 * @returns rates of the same amount of the first active, or of nitrogen, on the same ground; products whose
 *   content or density is missing are left out
 * Source: trade.md 5, equivalents: by proportion of contents.
 * @example 2 fl oz of 14.3 % by a product of 28.6 % and the same density: 1 fl oz
 */
export function equivalents(
  product: Shelved,
  rate: Quantity<RateUnit>,
  shelf: readonly Shelved[],
  book: WorkingBook = closedWorkingBook,
): readonly Equivalent[] {
  const parts = rateUnitParts(rate.unit)
  if (parts.per !== 'area') return []
  const own = contentIn(product.document, parts.dimension)
  if (!own) return []
  const names = activesOf(product.document).join(' + ')
  return shelf.flatMap((other): readonly Equivalent[] => {
    if (
      other.id === product.id ||
      (names === ''
        ? other.document.kind !== product.document.kind || activesOf(other.document).length > 0
        : activesOf(other.document).join(' + ') !== names)
    )
      return []
    const dimension =
      other.document.form === 'granule' || /powder|dry flowable|soluble bag/.test(other.document.form)
        ? 'mass'
        : 'volume'
    const theirs = contentIn(other.document, dimension)
    if (!theirs) return []
    const unit: RateUnit =
      dimension === parts.dimension ? rate.unit : dimension === 'mass' ? 'lb/1000 ft2' : 'fl oz/1000 ft2'
    const value = (rate.value * parts.factor * own) / theirs / rateUnitParts(unit).factor
    book.note(`equivalent.${other.id}`, () => [
      `${product.name} at ${asEntered(rate)}`,
      `${sixDigits(own)} kg of ${names === '' ? 'N' : names} in each ` +
        `${parts.dimension === 'mass' ? 'kg' : 'm3'} of it, ${sixDigits(theirs)} in each ` +
        `${dimension === 'mass' ? 'kg' : 'm3'} of ${other.name}`,
      `${asEntered(rate)} x ${sixDigits(own)} / ${sixDigits(theirs)} = ${sixDigits(value)} ${unit}`,
    ])
    return [
      {
        id: other.id,
        name: other.name,
        by: names === '' ? 'nitrogen' : 'active',
        what: names === '' ? 'N' : (product.document.actives[0]?.name ?? ''),
        rate: { value, unit },
      },
    ]
  })
}

/** Kg of the first active, or of nitrogen where there is none, in each SI unit of product. */
function contentIn(
  { actives, analysis, density }: ProductDocument,
  dimension: 'mass' | 'volume',
): number | undefined {
  const weighs = typedFigure(density, 'density')
  const [active] = actives
  const content = active?.name.trim()
    ? typedFigure(active.content, 'content')
    : typedFigure(analysis.n, 'percent')
  return content && activePerProduct(content, dimension, weighs)
}
