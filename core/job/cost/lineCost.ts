import { asPlanProduct } from '../../draft/readProducts'
import { noteFromLabel, type LibraryProduct } from '../../draft/fromLibrary'
import { packageSize } from '../../label/packageSize'
import { doseOf } from '../../label/dose'
import { priceOf } from '../../label/productDocument'
import type { Package, RateLine } from '../../label/productShape'
import { readPositive } from '../../quantity/entered'
import { fieldReader } from '../../quantity/fieldReader'
import { asEntered, sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import { SQUARE_METRES_PER } from '../../quantity/units'

/**
 * What a rate line costs on the ground, out of one package.
 * @returns price on each m2 in the crew's currency; undefined where it cannot be known: no price, no size,
 *   a rate in the spray, a missing density
 * Source: trade.md 12, price x (rate / package).
 */
export function lineCost(
  product: LibraryProduct,
  line: RateLine,
  pack: Package,
  book: WorkingBook = closedWorkingBook,
): number | undefined {
  const price = priceOf(pack.price)
  const size = readPositive(pack.size, 'amount', 'Package')
  const read = asPlanProduct(
    noteFromLabel(product, line, line.id, { text: '', unit: 'g' }),
    'products.0',
    fieldReader(),
  )
  const dose = read && doseOf(read, undefined)
  if (price === undefined || !size.ok || !read || !dose?.ok) return undefined
  const holds = packageSize(pack, dose.value.dimension, read.density)
  if (holds === undefined) return undefined
  const packages = dose.value.perArea / holds
  const cost = price * packages
  book.note(`cost.${line.id}.${pack.id}`, () => [
    `${line.use || 'rate'} ` +
      `${asEntered(read.rate)}${read.basis && read.basis !== 'product' ? ` of ${read.basis}` : ''}`,
    `a package of ${asEntered(size.value)} at ${price} covers ` +
      `${sixDigits(1 / packages / SQUARE_METRES_PER['1000 ft2'])} x 1000 ft2`,
    `cost ${sixDigits(cost * SQUARE_METRES_PER['1000 ft2'])} on 1000 ft2`,
  ])
  return cost
}
