import { packageSize } from '../../label/packageSize'
import type { Package } from '../../label/productShape'
import { readDensity } from '../../label/read/readDensity'
import { amountFactor, type Quantity } from '../../quantity/quantity'
import { dimensionOf, type Dimension } from '../../quantity/rateUnit'
import type { AmountUnit } from '../../quantity/units'
import { hopperCharge } from '../../plan/hopperCharge'
import { figureText, sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import { bestSet, onSale, type PackageSet } from '../../stock/bestSet'
import { packagesToTake, type PackagesToTake } from '../../stock/packagesToTake'
import type { StockedProduct } from '../cost/jobCost'
import type { RouteApplication, CommonMix } from './commonMix'

/** What the truck must hold of one product for the whole day, and what of it is not there. */
export interface RouteNeed {
  readonly name: string
  readonly sourceId: string | undefined
  readonly dimension: Dimension
  /** SI; loads, dead volume and reserve included. */
  readonly amount: number
  /** Undefined where stock was never booked. */
  readonly onHand: number | undefined
  readonly short: number
  /**
   * Out of which packages it comes; only where the label names one size of them and enough of it is on hand.
   */
  readonly take: (PackagesToTake & { readonly pack: Package }) | undefined
  /** Packages that together cover what is short, the cheapest way; undefined where none has a size. */
  readonly buy: PackageSet | undefined
}

/**
 * The day's sum of every product: what goes on the truck, and what must be bought first.
 * @param applications every application of the day that can be worked out
 * @param mixes those of them that share a tank
 * Source: trade.md 1 (the truck's loading list is the day's sum), 12.
 */
export function routeNeeds(
  applications: readonly RouteApplication[],
  mixes: readonly CommonMix[],
  stocked: readonly StockedProduct[],
  book: WorkingBook = closedWorkingBook,
): readonly RouteNeed[] {
  const shared = new Set(mixes.flatMap(({ stops }) => stops.map(({ applicationId }) => applicationId)))
  const parts = [
    ...applications
      .filter(({ applicationId }) => !shared.has(applicationId))
      .map(({ document, request, plan, site }) => ({ document, request, plan, site })),
    ...mixes.flatMap(({ request, plan, stops }) => {
      const first = applications.find(({ applicationId }) => applicationId === stops[0]?.applicationId)
      return first
        ? [{ document: first.document, request, plan, site: stops.map(({ site }) => site).join(', ') }]
        : []
    }),
  ]
  const needs = new Map<
    string,
    {
      name: string
      sourceId: string | undefined
      dimension: Dimension
      unit: AmountUnit
      amount: number
      lines: string[]
    }
  >()
  for (const { document, request, plan, site } of parts) {
    const hopper = hopperCharge(request, plan)
    document.products.forEach(({ name, source }, i) => {
      const total = plan.totals.products[i]
      const taken: Quantity<AmountUnit> | undefined = total && (hopper?.weighIn ?? total.measured)
      if (!taken) return
      const dimension = dimensionOf(taken.unit)
      const key = `${source?.id ?? name.trim().toLowerCase()} ${dimension}`
      const known = needs.get(key) ?? {
        name: name.trim() || 'Product',
        sourceId: source?.id,
        dimension,
        unit: taken.unit,
        amount: 0,
        lines: [],
      }
      known.amount += taken.value * amountFactor(taken.unit)
      known.lines.push(`${site}: ${sixDigits(taken.value)} ${taken.unit}`)
      needs.set(key, known)
    })
  }
  return [...needs.values()].map(({ lines, unit, ...need }): RouteNeed => {
    const told = (amount: number) => figureText({ value: amount / amountFactor(unit), unit })
    const kept = stocked.find(({ id }) => id === need.sourceId)
    const onHand = kept?.onHand?.find(({ dimension }) => dimension === need.dimension)?.amount
    const short = onHand === undefined ? 0 : Math.max(0, need.amount - Math.max(0, onHand))
    const take =
      kept && onHand !== undefined && short === 0
        ? toTake(kept, need.dimension, need.amount, onHand)
        : undefined
    book.note(`day.${need.sourceId ?? need.name}`, () => [
      ...lines,
      ...(onHand === undefined ? [] : [`on hand ${told(onHand)}`]),
      ...(take
        ? [
            'out of ' +
              (take.open > 0 ? `the open one with ${told(take.open)}${take.full > 0 ? ' and ' : ''}` : '') +
              (take.full > 0 ? `${take.full} of ${take.pack.size.text} ${take.pack.size.unit}` : ''),
          ]
        : []),
      ...(short > 0 ? [`short by ${told(short)}, bought in the packages that cost least together`] : []),
      `for the day = ${told(need.amount)}`,
    ])
    return {
      ...need,
      onHand,
      short,
      take,
      buy: short > 0 && kept ? toBuy(kept, need.dimension, short) : undefined,
    }
  })
}

/** Finished spray of the day, m3: what water the truck must find or carry, liquid products included. */
export function routeSpray(
  applications: readonly RouteApplication[],
  mixes: readonly CommonMix[],
  book: WorkingBook = closedWorkingBook,
): number {
  const shared = new Set(mixes.flatMap(({ stops }) => stops.map(({ applicationId }) => applicationId)))
  const parts = [
    ...applications
      .filter(({ applicationId }) => !shared.has(applicationId))
      .map(({ site, plan }) => ({ site, mix: plan.totals.mix })),
    ...mixes.map(({ stops, plan }) => ({
      site: stops.map(({ site }) => site).join(', '),
      mix: plan.totals.mix,
    })),
  ]
  const spray = parts.reduce((sum, { mix }) => (mix ? sum + mix.value * amountFactor(mix.unit) : sum), 0)
  const unit = parts.find(({ mix }) => mix !== null)?.mix?.unit ?? 'gal'
  book.note('day.spray', () => [
    ...parts.flatMap(({ site, mix }) => (mix ? [`${site}: ${figureText(mix)} to mix`] : [])),
    `spray of the day = ${figureText({ value: spray / amountFactor(unit), unit })}`,
  ])
  return spray
}

function toTake(
  { document: { packages, density } }: StockedProduct,
  dimension: Dimension,
  amount: number,
  onHand: number,
): RouteNeed['take'] {
  const [pack] = packages
  const size = pack && packages.length === 1 ? packageSize(pack, dimension, readDensity(density)) : undefined
  const found = size === undefined ? undefined : packagesToTake(amount, onHand, size)
  return pack && found && { ...found, pack }
}

function toBuy(
  { document: { packages, density } }: StockedProduct,
  dimension: Dimension,
  short: number,
): RouteNeed['buy'] {
  return bestSet(onSale(packages, dimension, readDensity(density)), short)
}
