import { sumOf } from '../../quantity/counting'
import { wholeSteps } from '../../quantity/tolerance'
import type { Package } from '../../label/productShape'
import type { Plan } from '../../plan/plan'
import type { PlanRequest } from '../../plan/planRequest'
import { amountFactor } from '../../quantity/quantity'
import { dimensionOf, type Dimension } from '../../quantity/rateUnit'
import { SQUARE_METRES_PER } from '../../quantity/units'
import type { OnHand } from '../../stock/onHand'
import { asEntered, figureText, sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import type { ApplicationDraft } from '../../draft/applicationShape'
import type { LibraryProduct } from '../../draft/fromLibrary'
import { pricedPackage } from './pricedPackage'

export interface StockedProduct extends LibraryProduct {
  readonly onHand?: readonly OnHand[]
}

/** What one product of a job costs, in the crew's currency; `pack` is the package it is reckoned from. */
interface ProductCost {
  readonly productId: string
  readonly name: string
  /** Undefined where no package has both a size and a price, or the density between them is missing. */
  readonly cost: number | undefined
  readonly pack: Package | undefined
  /**
   * What is on hand after the job, and what of it is in the open package, SI; undefined where no stock was
   * ever booked.
   */
  readonly left: { readonly dimension: Dimension; readonly amount: number; readonly open: number } | undefined
}

export interface JobCost {
  readonly products: readonly ProductCost[]
  /** Undefined unless every product's is known. */
  readonly whole: number | undefined
  readonly perThousand: number | undefined
  readonly areas: readonly { readonly id: string; readonly cost: number | undefined }[]
}

/**
 * The cost of the product of one application: by job, by 1,000 ft2, by area, and what it leaves in the open
 * package. What is mixed counts, dead volume and all; areas share it by what lands on them.
 * Source: trade.md 6 and 12. The package is the one on the shelf; where no delivery tells, the cheapest by
 * amount of those that have a price.
 */
export function jobCost(
  { products }: ApplicationDraft,
  request: PlanRequest,
  plan: Plan,
  stocked: readonly StockedProduct[],
  book: WorkingBook = closedWorkingBook,
): JobCost {
  const costs = products.map(({ id, name, source }, index): ProductCost => {
    const kept = source && stocked.find((one) => one.id === source.id)
    const total = plan.totals.products.find((one) => one.id === id)
    const density = request.products.find((one) => one.id === id)?.density
    const used = total && (total.mix ?? total.amount)
    const dimension = used && dimensionOf(used.unit)
    const priced = kept && dimension ? pricedPackage(kept, dimension, density) : undefined
    const amount = used ? used.value * amountFactor(used.unit) : 0
    const cost = priced && (priced.price / priced.size) * amount
    book.note(`cost.job.${id}`, () =>
      priced && used
        ? [
            `${name}: ${figureText(used)} to put in`,
            'out of a package of ' +
              `${asEntered({ value: Number(priced.pack.size.text), unit: priced.pack.size.unit })} at ` +
              `${priced.price}, ${priced.delivered ? 'as it was delivered last' : 'the cheapest by amount'}`,
            `${sixDigits(amount / priced.size)} packages x ${priced.price} = ${sixDigits(cost ?? 0)}`,
          ]
        : [`${name || `Product ${index + 1}`}: no package with size and price, or no density between them`],
    )
    return {
      productId: id,
      name,
      cost,
      pack: priced?.pack,
      left: dimension && leftOf(kept?.onHand, dimension, amount, priced?.size),
    }
  })
  const whole = costs.every(({ cost }) => cost !== undefined)
    ? sumOf(costs, ({ cost }) => cost ?? 0)
    : undefined
  const thousands = plan.totals.size.value / SQUARE_METRES_PER['1000 ft2']
  const shareOf = (areaId: string, productId: string) => {
    const own =
      plan.areas.find(({ id }) => id === areaId)?.products.find(({ id }) => id === productId)?.amount.value ??
      0
    return own / (plan.totals.products.find(({ id }) => id === productId)?.amount.value ?? 1)
  }
  if (whole !== undefined)
    book.note('cost.job', () => [
      ...costs.map(({ name, cost }) => `${name} ${sixDigits(cost ?? 0)}`),
      `on ${sixDigits(thousands)} x 1000 ft2: ${sixDigits(whole / thousands)} on 1000 ft2`,
      `product of this application = ${sixDigits(whole)}`,
    ])
  const areas = plan.areas.map(({ id }) => ({
    id,
    cost:
      whole === undefined
        ? undefined
        : sumOf(costs, ({ cost, productId }) => (cost ?? 0) * shareOf(id, productId)),
  }))
  for (const { id, cost } of areas) {
    if (cost !== undefined)
      book.note(`cost.area.${id}`, () => [
        ...costs.map(
          (one) =>
            `${one.name}: ${sixDigits(100 * shareOf(id, one.productId))} % of ${sixDigits(one.cost ?? 0)}`,
        ),
        `product on this lawn = ${sixDigits(cost)}`,
      ])
  }
  return {
    products: costs,
    whole,
    perThousand: whole === undefined ? undefined : whole / thousands,
    areas,
  }
}

function leftOf(
  stock: readonly OnHand[] | undefined,
  dimension: Dimension,
  used: number,
  pack: number | undefined,
): ProductCost['left'] {
  const there = stock?.find((one) => one.dimension === dimension)
  if (!there) return undefined
  const amount = there.amount - used
  return {
    dimension,
    amount,
    open: pack === undefined || amount <= 0 ? Math.max(0, amount) : amount - wholeSteps(amount / pack) * pack,
  }
}
