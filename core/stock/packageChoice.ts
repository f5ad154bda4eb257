import { priceOf, type Package } from '../label/productDocument'
import { readPositive } from '../quantity/entered'
import { amountFactor } from '../quantity/quantity'
import { dimensionOf, type Dimension } from '../quantity/rateUnit'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'

/** One package against what a year needs. */
export interface PackageVerdict {
  readonly pack: Package
  /** In the crew's currency on each SI unit (kg or m3). */
  readonly perUnit: number
  /** Until one package is used up at this year's need. */
  readonly years: number
  readonly state: 'best' | 'dearer' | 'outlives'
}

/**
 * Which package to buy: the cheapest by amount of those that are used up before they spoil.
 * @param need SI of one dimension in a year; @param shelfLife years; undefined where the label does not say
 * @returns packages with size and price in the need's dimension, cheapest first
 * Source: trade.md 12: the big jug is cheaper only if used up within its shelf life.
 */
export function packageChoice(packages: readonly Package[], need: { readonly dimension: Dimension; readonly amount: number }, shelfLife: number | undefined, book: WorkingBook = closedWorkingBook): readonly PackageVerdict[] {
  const rows = packages.flatMap((pack) => {
    const size = readPositive(pack.size, 'amount', 'Package')
    const price = priceOf(pack.price)
    if (!size.ok || price === undefined || dimensionOf(size.value.unit) !== need.dimension || need.amount <= 0) return []
    const si = size.value.value * amountFactor(size.value.unit)
    return [{ pack, perUnit: price / si, years: si / need.amount }]
  }).toSorted((a, b) => a.perUnit - b.perUnit)
  const keeps = (years: number) => shelfLife === undefined || years <= shelfLife * (1 + 1e-9)
  const best = rows.find(({ years }) => keeps(years))
  return rows.map((row): PackageVerdict => {
    book.note(`package.${row.pack.id}`, () => [
      `${row.pack.size.text} ${row.pack.size.unit} at ${row.pack.price}`, `this year's need takes ${sixDigits(1 / row.years)} of them`,
      ...(shelfLife === undefined ? ['the label gives no shelf life'] : [`it keeps ${sixDigits(shelfLife)} years`]), `one lasts = ${sixDigits(row.years)} years`,
    ])
    return { ...row, state: !keeps(row.years) ? 'outlives' : row === best ? 'best' : 'dearer' }
  })
}
