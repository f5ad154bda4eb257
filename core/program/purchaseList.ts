import type { StockedProduct } from '../job/cost/jobCost'
import { readDensity } from '../label/read/readDensity'
import type { Dimension } from '../quantity/rateUnit'
import { showAmount, type UnitSystem } from '../quantity/systems'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { sumOf } from '../quantity/counting'
import type { PlannedRow } from '../season/ledger'
import { bestSet, onSale, type PackageSet } from '../stock/bestSet'
import { shelfYears } from '../stock/packageChoice'

/** One product of the season: what is needed, what is there, what to buy. SI. */
export interface PurchaseLine {
  readonly productId: string
  readonly product: string
  readonly dimension: Dimension
  readonly need: number
  readonly onHand: number
  /** What is missing; 0 where there is enough. */
  readonly short: number
  /** Undefined where nothing is short, or no package has a size in this dimension. */
  readonly buy: PackageSet | undefined
  /** Years it keeps by its label; undefined where the label does not say. */
  readonly keeps: number | undefined
  /** The first day it is needed, YYYY-MM-DD. */
  readonly firstOn: string
}

/**
 * What a season needs of each product over all areas against the shelf; what is short first, then by its day.
 * @param rows what is still to go down, of programs and planned jobs
 * @param system the units its working is told in @param book gets a page `purchase.id.dimension` for each
 * Source: trade.md 12.
 */
export function purchaseList(
  rows: readonly PlannedRow[],
  products: readonly StockedProduct[],
  system: UnitSystem,
  book: WorkingBook = closedWorkingBook,
): readonly PurchaseLine[] {
  const lines = products.flatMap(({ id, name, document, onHand = [] }) =>
    (['mass', 'volume'] as const).flatMap((dimension): PurchaseLine[] => {
      const own = rows.filter((row) => row.sourceId === id && row.dimension === dimension)
      const [first] = own.map(({ on }) => on).toSorted()
      if (first === undefined) return []
      const need = sumOf(own, ({ amount }) => amount)
      const there = Math.max(0, onHand.find((one) => one.dimension === dimension)?.amount ?? 0)
      const short = Math.max(0, need - there)
      const density = readDensity(document.density)
      const told = (amount: number) => {
        const { figure, unit } = showAmount(amount, dimension, system)
        return `${figure} ${unit}`
      }
      book.note(`purchase.${id}.${dimension}`, () => [
        ...own.map(({ on, amount, sizeM2 }) => `${on}: ${told(amount)} on ${sixDigits(sizeM2)} m2`),
        `Needed: ${told(need)}`,
        `On hand: ${told(there)}`,
        `Missing: ${told(short)}`,
      ])
      return [
        {
          productId: id,
          product: name,
          dimension,
          need,
          onHand: there,
          short,
          buy: bestSet(onSale(document.packages, dimension, density), short),
          keeps: shelfYears(document),
          firstOn: first,
        },
      ]
    }),
  )
  return lines.toSorted(
    (a, b) => Number(b.short > 0) - Number(a.short > 0) || (a.firstOn < b.firstOn ? -1 : 1),
  )
}
