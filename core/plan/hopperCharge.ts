import { amountFactor, type Quantity } from '../quantity/quantity'
import type { AmountUnit } from '../quantity/units'
import { asEntered, figureText } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { measuredAmount } from './measuredAmount'
import type { Plan } from './plan'
import type { PlanRequest } from './planRequest'

/** A dry job as it is really weighed; all in the unit of the scale. */
export interface HopperCharge {
  /** What goes on the lawn, in steps of the scale. */
  readonly measured: Quantity<AmountUnit>
  /** What comes back, in the same steps. */
  readonly reserve: Quantity<AmountUnit>
  /** What the display should say with both in it. */
  readonly weighIn: Quantity<AmountUnit>
}

/**
 * What is weighed into the hopper: the measured amount, and the reserve to the nearest step (it comes back,
 * so no limit of the label is touched).
 * @returns undefined for wet work
 * Source: trade.md 3 (reserve charge) and 6 (the unit the technician will really measure).
 * @example 11.304 lb measured as 11.2 on a scale of 0.2 lb, reserve 3.1 lb: 11.2 + 3.0 = 14.2 lb
 */
export function hopperCharge(
  { method, products }: Pick<PlanRequest, 'method' | 'products'>,
  { totals }: Pick<Plan, 'totals'>,
  book: WorkingBook = closedWorkingBook,
): HopperCharge | undefined {
  const [total, product] = [totals.products[0], products[0]]
  if (method.kind !== 'spread' || !total || !product) return undefined
  const { measured } = total
  const typed =
    method.reserve && (method.reserve.value * amountFactor(method.reserve.unit)) / amountFactor(measured.unit)
  const { measureStep } = product
  const reserve = {
    value: typed && measureStep ? measuredAmount(typed, measureStep.value, Infinity) : (typed ?? 0),
    unit: measured.unit,
  }
  const weighIn = { value: measured.value + reserve.value, unit: measured.unit }
  book.note(`products.${total.id}.weighIn`, () => [
    `for the lawn ${figureText(total.amount)}, measured ${figureText(measured)}`,
    ...(method.reserve
      ? [
          `reserve ${asEntered(method.reserve)}, because the last of the hopper spreads ` +
            `badly${measureStep ? `; in steps of ${asEntered(measureStep)}: ${figureText(reserve)}` : ''}`,
        ]
      : ['no reserve']),
    `weigh in = ${figureText(weighIn)}`,
  ])
  return { measured, reserve, weighIn }
}
