import { isSameFigure, stepsToCover } from '../quantity/tolerance'
import { packageSize } from '../label/packageSize'
import { priceOf } from '../label/productDocument'
import type { Package } from '../label/productShape'
import type { Quantity } from '../quantity/quantity'
import type { Dimension } from '../quantity/rateUnit'
import type { DensityUnit } from '../quantity/units'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'

/** A package that can be bought: what it holds (SI) and what it costs; undefined: nobody knows. */
export interface OnSale {
  readonly pack: Package
  readonly size: number
  readonly price: number | undefined
}

export interface PackageSet {
  readonly packs: readonly { readonly pack: Package; readonly count: number }[]
  /** In the crew's currency; undefined where packages have no price and the least is bought instead. */
  readonly cost: number | undefined
  /** What is bought beyond the need, SI. */
  readonly over: number
}

/** A label's packages as they are on sale in one dimension; those without a size in it are none. */
export const onSale = (
  packages: readonly Package[],
  dimension: Dimension,
  density?: Quantity<DensityUnit>,
): readonly OnSale[] =>
  packages.flatMap((pack) => {
    const size = packageSize(pack, dimension, density)
    return size === undefined ? [] : [{ pack, size, price: priceOf(pack.price) }]
  })

/** '1 of 50 lb and 1 of 10 lb' */
export const packageSetWords = ({ packs }: PackageSet): string =>
  packs.map(({ pack, count }) => `${count} of ${pack.size.text} ${pack.size.unit}`).join(' and ')

interface Found {
  readonly counts: readonly number[]
  readonly cost: number
}

/**
 * The set of packages that covers a need and costs least; of those that cost the same, the one with least
 * left over, then with fewest packages. Where a price is missing it is the set that is least too much.
 * @param need SI of the packages' dimension
 * @returns undefined where there is nothing to buy, or no need
 * Source: trade.md 12, best set of packages. Branch and bound: packages by what a unit of them costs, each
 *   tried from the most that are of use down to none, given up where even the cheapest unit for the rest
 *   would cost more than a set that is known.
 * @example 60 lb from bags of 50 and 10: one of each, not six of ten
 */
export function bestSet(
  offers: readonly OnSale[],
  need: number,
  book: WorkingBook = closedWorkingBook,
): PackageSet | undefined {
  const priced = offers.filter(({ price }) => price !== undefined)
  const usable = (priced.length > 0 ? priced : offers)
    .map(({ pack, size, price }) => ({ pack, size, price: price ?? size }))
    .toSorted((a, b) => a.price / a.size - b.price / b.size || b.size - a.size)
  if (usable.length === 0 || !(need > 0)) return undefined
  const sizeOf = ({ counts }: Found) =>
    counts.reduce((sum, count, i) => sum + count * (usable[i]?.size ?? 0), 0)
  const isBetter = (one: Found, other: Found) =>
    (compare(one.cost, other.cost) || compare(sizeOf(one), sizeOf(other)) || countOf(one) - countOf(other)) <
    0
  let best: Found | undefined
  let tries = 0
  const look = (place: number, left: number, counts: readonly number[], cost: number): void => {
    const { size, price } = usable[place]!
    const most = Math.max(0, stepsToCover(left / size))
    const isLast = place === usable.length - 1
    for (let count = most; count >= (isLast ? most : 0); count--) {
      const rest = left - count * size
      const spent = cost + count * price
      const next = usable[place + 1]
      const least = spent + (next ? Math.max(0, rest / next.size) * next.price : 0)
      if (best && ++tries > MOST_TRIES) return
      if (best && compare(least, best.cost) > 0) {
        // Fewer of these and more of dearer ones can only cost more, but where these already are too many.
        if (rest > 0) return
        continue
      }
      const found = { counts: [...counts, count], cost: spent }
      if (stepsToCover(rest / size) <= 0) {
        if (!best || isBetter(found, best)) best = found
      } else if (!isLast) look(place + 1, rest, found.counts, spent)
    }
  }
  look(0, need, [], 0)
  if (!best) return undefined
  const set: PackageSet = {
    packs: usable.flatMap(({ pack }, i) => {
      const count = best?.counts[i] ?? 0
      return count > 0 ? [{ pack, count }] : []
    }),
    cost: priced.length > 0 ? best.cost : undefined,
    over: Math.max(0, sizeOf(best) - need),
  }
  book.note('package.set', () => [
    `needed ${sixDigits(need)} kg or m3`,
    ...set.packs.map(
      ({ pack, count }) =>
        `${count} of ${pack.size.text} ${pack.size.unit}${pack.price ? ` at ${pack.price}` : ''}`,
    ),
    `${sixDigits(set.over)} kg or m3 more than is needed; no other set costs less`,
    set.cost === undefined ? 'no prices: the least that is too much' : `together = ${sixDigits(set.cost)}`,
  ])
  return set
}

const countOf = ({ counts }: Found) => counts.reduce((sum, count) => sum + count, 0)
const compare = (one: number, other: number) => (isSameFigure(one, other) ? 0 : one - other)

/** Beyond so many tries the best that was found is good enough: sets are told apart by pennies there. */
const MOST_TRIES = 200_000
