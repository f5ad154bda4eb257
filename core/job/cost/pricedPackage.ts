import { packageSize } from '../../label/packageSize'
import { priceOf } from '../../label/productDocument'
import type { Package } from '../../label/productShape'
import type { Quantity } from '../../quantity/quantity'
import type { Dimension } from '../../quantity/rateUnit'
import type { DensityUnit } from '../../quantity/units'
import { shelfPackage } from '../../stock/shelfPackage'
import type { LibraryProduct } from '../../draft/fromLibrary'
import type { OnHand } from '../../stock/onHand'

/** A package with its price in the crew's currency and what it holds, SI. */
export interface PricedPackage {
  readonly pack: Package
  readonly price: number
  readonly size: number
  /** It is the one that was delivered last, not only the cheapest by amount. */
  readonly delivered: boolean
}

/**
 * The package an amount of a product comes out of.
 * @param density where packages are told the other way
 * @returns undefined where no package has both a price and a size that counts
 * Source: trade.md 6 and 12: the package on the shelf; where no delivery tells, the cheapest by amount.
 */
export function pricedPackage(
  { document, onHand }: Pick<LibraryProduct, 'document'> & { readonly onHand?: readonly OnHand[] },
  dimension: Dimension,
  density: Quantity<DensityUnit> | undefined,
): PricedPackage | undefined {
  const onSale = document.packages
    .flatMap((pack) => {
      const [price, size] = [priceOf(pack.price), packageSize(pack, dimension, density)]
      return price !== undefined && size !== undefined ? [{ pack, price, size }] : []
    })
    .toSorted((a, b) => a.price / a.size - b.price / b.size)
  const delivered = onHand?.find((one) => one.dimension === dimension)?.delivered
  const onShelf = delivered === undefined ? undefined : shelfPackage(onSale, delivered)
  const found = onShelf ?? onSale[0]
  return found && { ...found, delivered: onShelf !== undefined }
}
