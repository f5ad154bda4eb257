import { sumOf } from '../quantity/counting'
import { doseOf } from '../label/dose'
import { amountFactor, type Quantity } from '../quantity/quantity'
import type { AmountUnit } from '../quantity/units'
import type { PlanQuestion } from './planQuestion'
import type { PlanProduct } from './planRequest'

/**
 * The units a scale or a cup shows: the larger from one of it on, the smaller below; and what is told in
 * them.
 */
const SHOWN: readonly {
  readonly large: AmountUnit
  readonly small: AmountUnit
  readonly told: readonly AmountUnit[]
}[] = [
  { large: 'lb', small: 'oz', told: ['lb', 'oz'] },
  { large: 'gal', small: 'fl oz', told: ['gal', 'qt', 'pt', 'fl oz'] },
  { large: 'kg', small: 'g', told: ['kg', 'g'] },
  { large: 'L', small: 'mL', told: ['L', 'mL'] },
]
/** Steps that scales and cups have, widest first. */
const STEPS = [10, 5, 1, 0.5, 0.1, 0.05, 0.01, 0.005, 0.001]
/** A step of this share of a load misses it by half as much, which nobody minds. */
const FINE_SHARE = 0.01

/**
 * A measuring step for every product that names none, so that its amounts come as a scale or a cup shows
 * them: ounces below a pound, fluid ounces below a gallon, grams and millilitres below a kilogram and a
 * litre.
 * @returns the question, with the widest usual step of at most 1 % of a full load; a product whose dose can't
 *   be told stays as it is
 * Source: trade.md 5, amounts in what the tool shows.
 * @example 0.00530 gal for the whole lawn: 0.68 fl oz, in steps of 0.005 fl oz
 */
export function withEverydaySteps(question: PlanQuestion): PlanQuestion {
  const { areas, products, water } = question
  const ground = sumOf(areas, ({ size }) => size)
  const load = water ? Math.min(ground, water.tank / water.carrier.perArea) : ground
  const withStep = (product: PlanProduct): PlanProduct => {
    if (product.measureStep) return product
    const dose = doseOf(product, water?.carrier)
    return dose.ok ? { ...product, measureStep: stepOf(dose.value.perArea * load, dose.value.unit) } : product
  }
  return { ...question, products: products.map(withStep) }
}

function stepOf(amount: number, told: AmountUnit): Quantity<AmountUnit> {
  const { large, small } = SHOWN.find((shown) => shown.told.includes(told)) ?? { large: told, small: told }
  const unit = amount >= amountFactor(large) ? large : small
  const most = (amount / amountFactor(unit)) * FINE_SHARE
  return { value: STEPS.find((step) => step <= most) ?? STEPS.at(-1)!, unit }
}
