import { counted, plural } from '../quantity/counting'
import { NUTRIENTS } from '../label/label'
import { amountFactor } from '../quantity/quantity'
import { NUTRIENT_UNIT, nutrientText } from '../quantity/nutrientText'
import { SQUARE_METRES_PER } from '../quantity/units'
import { asEntered, figureText, sixDigits } from '../working/figureText'
import type { Figure } from '../working/figures'
import type { WorkingBook } from '../working/working'
import type { Plan } from './plan'
import { inDoseUnit, type GroupProduct, type PlannedGroup } from './planGroup'
import { calledArea, calledAreas, type PlanQuestion } from './planQuestion'
import { isByRates } from './rateGroups'

/**
 * The working of a plan. Where areas are planned apart every page has the lines of each group under the names
 * of its areas, and the sum last.
 * @param books one for each group, its nutrients already in it; the only group's is the plan's own
 */
export function notePlan(
  question: PlanQuestion,
  groups: readonly PlannedGroup[],
  plan: Plan,
  books: readonly WorkingBook[],
  book: WorkingBook,
): void {
  groups.forEach((group, index) => {
    const own = books[index] ?? book
    for (const product of group.products) noteProduct(product, group, question, own)
    noteSpray(group, question, own)
  })
  if (!isByRates(question)) return
  const pages = books.map((own) => own.pages())
  const together = sumsOf(question, plan)
  for (const figure of new Set(pages.flatMap((own) => own.map((page) => page.figure))))
    book.note(figure, () => [
      ...groups.flatMap(({ areas }, index) => {
        const page = pages[index]?.find((one) => one.figure === figure)
        return page ? [`on ${calledAreas(areas)}:`, ...page.lines] : []
      }),
      ...(together.get(figure)?.() ?? []),
    ])
}

/** The last lines of each page over all groups. */
function sumsOf(
  { method, units }: PlanQuestion,
  { totals, loads, nutrients }: Plan,
): ReadonlyMap<Figure, () => readonly string[]> {
  const sum = (told: string) => () => [`all rates together = ${told}`]
  const { carrier, mix } = totals
  const reserve =
    method.kind === 'spread' && method.reserve ? `, and the reserve ${asEntered(method.reserve)} once` : ''
  return new Map<Figure, () => readonly string[]>([
    ...totals.products.flatMap(({ id, amount, measured, charge }) => [
      [`products.${id}.amount`, sum(figureText(amount))] as const,
      [`products.${id}.measured`, sum(figureText(measured))] as const,
      [
        `products.${id}.charge`,
        () =>
          charge
            ? [`all rates together ${figureText(amount)}${reserve}`, `weigh in = ${figureText(charge)}`]
            : [],
      ] as const,
    ]),
    ...(carrier ? [['carrier', sum(figureText(carrier))] as const] : []),
    ...(mix ? [['mix', sum(figureText(mix))] as const] : []),
    ['loads.count', sum(`${loads.length} loads`)],
    ...NUTRIENTS.map(
      (name) =>
        [
          `nutrients.${name}`,
          () =>
            nutrients
              ? [
                  'on average over the whole ground = ' +
                    nutrientText(nutrients[name].value * NUTRIENT_UNIT, '', units, sixDigits),
                ]
              : [],
        ] as const,
    ),
  ])
}

/** The pages of one product: what lands on the lawn, what is measured, what is weighed in. */
function noteProduct(
  { resolved, amount, measured, measuredPerArea, loads }: GroupProduct,
  { areas }: PlannedGroup,
  { method }: PlanQuestion,
  book: WorkingBook,
): void {
  const { product, dose, measure } = resolved
  const told = (si: number) => figureText(inDoseUnit(resolved, si))
  const inTool = (value: number) => figureText({ value, unit: measure.unit })
  book.note(`products.${product.id}.amount`, () => [
    `rate ${asEntered(product.rate)}`,
    ...dose.steps,
    ...(dose.steps.length > 0 && method.kind === 'spray' ? [`carrier ${asEntered(method.carrier)}`] : []),
    `product on the ground: ${told(dose.perArea * SQUARE_METRES_PER['1000 ft2'])}/1000 ft2`,
    ...areas.map(
      ({ entered, size }) =>
        `${calledArea(entered)}: ${asEntered(entered.size)} (${sixDigits(size)} m2) takes ` +
        told(size * dose.perArea),
    ),
    `together = ${told(amount)}`,
  ])
  book.note(`products.${product.id}.measured`, () => [
    `rate ${asEntered(product.rate)}`,
    measure.step === undefined
      ? 'no measuring step given: measured exactly'
      : `measured in steps of ${measure.step} ${measure.unit}, nearest, exact halves down, never past ` +
        `the label's most`,
    ...(loads.length > 0
      ? loads.map(
          (load, index) => `load ${index + 1}: ${told(load.amount)} exact, measure ${inTool(load.measured)}`,
        )
      : [`the amount ${told(amount)}`]),
    `that gives ${sixDigits((product.rate.value * measuredPerArea) / dose.perArea)} ${product.rate.unit}`,
    `measured = ${inTool(measured)}`,
  ])
  if (method.kind === 'spray') return
  const { reserve, passes } = method
  book.note(`products.${product.id}.charge`, () => [
    `amount ${told(amount)} for the whole lawn, ${passes} ${plural(passes, 'pass', 'passes')}`,
    ...(reserve
      ? [`reserve ${asEntered(reserve)}, because the last of the hopper spreads badly`]
      : ['no reserve']),
    `weigh in = ${told(amount + (reserve ? reserve.value * amountFactor(reserve.unit) : 0))}`,
  ])
}

/** The pages of the water: on the lawn, to mix, in how many loads. */
function noteSpray(
  { areas, size, spray, mix, loads }: PlannedGroup,
  { method, water }: PlanQuestion,
  book: WorkingBook,
): void {
  if (method.kind === 'spread' || !water) return
  const { unit } = water.carrier
  const told = (si: number) => figureText({ value: si / amountFactor(unit), unit })
  book.note('carrier', () => [
    ...areas.map(({ entered }) => `${calledArea(entered)}: ${asEntered(entered.size)}`),
    `lawn ${sixDigits(size)} m2 (${sixDigits(size / SQUARE_METRES_PER['1000 ft2'])} x 1000 ft2)`,
    `carrier ${asEntered(method.carrier)}, products included`,
    `spray on the lawn = ${told(spray)}`,
  ])
  book.note('mix', () => [
    `spray on the lawn ${told(spray)}`,
    method.dead ? `dead volume ${asEntered(method.dead)} stays in hose and boom` : 'no dead volume given',
    `mix to make = ${told(mix)}`,
  ])
  book.note('loads.count', () => [
    `carrier ${asEntered(method.carrier)}`,
    `mix to make ${told(mix)}, tank ${asEntered(method.tank)}`,
    `${told(mix)} / ${asEntered(method.tank)} = ${sixDigits(mix / water.tank)} tanks, counted up`,
    `counted = ${counted(loads.length, 'load')}`,
  ])
}
