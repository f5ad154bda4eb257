import { counted, plural } from '../quantity/counting'
import { amountFactor } from '../quantity/quantity'
import { SQUARE_METRES_PER } from '../quantity/units'
import { asEntered, figureText, sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'
import type { Groundwork } from './groundwork'
import type { LoadPlan, ProductTotal } from './plan'
import type { SpreadMethod, SprayMethod } from './planRequest'
import type { ResolvedProduct } from './resolveProducts'

/** The pages of one product: what lands on the lawn, what is measured, what is weighed in. */
export function noteProduct(
  { product, dose, measure }: ResolvedProduct,
  total: ProductTotal,
  ground: Groundwork,
  method: SpreadMethod | SprayMethod,
  loads: readonly LoadPlan[],
  book: WorkingBook,
): void {
  const perArea =
    `${sixDigits((dose.perArea * SQUARE_METRES_PER['1000 ft2']) / amountFactor(dose.unit))} ` +
    `${dose.unit}/1000 ft2`
  book.note(`products.${product.id}.amount`, () => [
    `rate ${asEntered(product.rate)}`,
    ...dose.steps,
    ...(dose.steps.length > 0 && ground.carrier
      ? [`carrier ${method.kind === 'spray' ? asEntered(method.carrier) : ''}`]
      : []),
    `product on the ground: ${perArea}`,
    ...ground.areas.map(
      ({ area, size }) =>
        `${area.name ?? area.id}: ${asEntered(area.size)} (${sixDigits(size)} m2) takes ` +
        `${sixDigits((size * dose.perArea) / amountFactor(dose.unit))} ${dose.unit}`,
    ),
    `together = ${figureText(total.amount)}`,
  ])
  book.note(`products.${product.id}.measured`, () => [
    `rate ${asEntered(product.rate)}`,
    measure.step === undefined
      ? 'no measuring step given: measured exactly'
      : `measured in steps of ${measure.step} ${measure.unit}, nearest, exact halves down, never past ` +
        `the label's most`,
    ...(loads.length > 0
      ? loads.map((load) => loadLine(load, product.id))
      : [`the amount ${figureText(total.amount)}`]),
    `that gives ${figureText(total.measuredRate)}`,
    `measured = ${figureText(total.measured)}`,
  ])
  const { charge } = total
  if (method.kind === 'spread' && charge) {
    book.note(`products.${product.id}.charge`, () => [
      `amount ${figureText(total.amount)} for the whole lawn, ${method.passes} ` +
        plural(method.passes, 'pass', 'passes'),
      ...(method.reserve
        ? [`reserve ${asEntered(method.reserve)}, because the last of the hopper spreads badly`]
        : ['no reserve']),
      `weigh in = ${figureText(charge)}`,
    ])
  }
}

function loadLine(load: LoadPlan, productId: string): string {
  const product = load.products.find(({ id }) => id === productId)
  return product
    ? `load ${load.number}: ${figureText(product.amount)} exact, measure ${figureText(product.measured)}`
    : ''
}

/** The pages of the water: on the lawn, to mix, in how many loads. */
export function noteSpray(
  { areas, size, spray, mix, loads, carrier }: Groundwork,
  method: SprayMethod,
  unitSi: number,
  book: WorkingBook,
): void {
  const unit = carrier?.unit ?? method.tank.unit
  book.note('carrier', () => [
    ...areas.map(({ area }) => `${area.name ?? area.id}: ${asEntered(area.size)}`),
    `lawn ${sixDigits(size)} m2 (${sixDigits(size / SQUARE_METRES_PER['1000 ft2'])} x 1000 ft2)`,
    `carrier ${asEntered(method.carrier)}, products included`,
    `spray on the lawn = ${sixDigits(spray / unitSi)} ${unit}`,
  ])
  book.note('mix', () => [
    `spray on the lawn ${sixDigits(spray / unitSi)} ${unit}`,
    method.dead ? `dead volume ${asEntered(method.dead)} stays in hose and boom` : 'no dead volume given',
    `mix to make = ${sixDigits(mix / unitSi)} ${unit}`,
  ])
  book.note('loads.count', () => [
    `carrier ${asEntered(method.carrier)}`,
    `mix to make ${sixDigits(mix / unitSi)} ${unit}, tank ${asEntered(method.tank)}`,
    `${sixDigits(mix / unitSi)} ${unit} / ${asEntered(method.tank)} = ` +
      `${sixDigits(mix / (method.tank.value * amountFactor(method.tank.unit)))} tanks, counted up`,
    `counted = ${counted(loads.length, 'load')}`,
  ])
}
