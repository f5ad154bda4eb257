import { NUTRIENT_UNIT, nutrientText } from '../quantity/nutrientText'
import { plural } from '../quantity/counting'
import type { Figure } from '../working/figures'
import { NUTRIENTS } from '../label/label'
import { amountFactor, type Quantity } from '../quantity/quantity'
import { rateUnitParts } from '../quantity/rateUnit'
import type { AmountUnit } from '../quantity/units'
import { asEntered, figureText, sixDigits } from '../working/figureText'
import { closedWorkingBook, type Working, type WorkingBook } from '../working/working'
import type { NutrientsLaid, Plan, ProductTotal, RateGroup } from './plan'
import { sortChecks } from './planChecks'
import type { PlanRequest } from './planRequest'
import type { RateRequest } from './rateGroups'

export interface GroupPlan extends RateRequest {
  readonly plan: Plan
}

/**
 * One plan of several that differ in their rates alone: areas in the request's order, sums of everything
 * else, loads one after the other. The reserve is charged once, the dead volume stays behind at each
 * strength.
 */
export function mergePlans(whole: PlanRequest, groups: readonly GroupPlan[]): Plan {
  const plans = groups.map(({ plan }) => plan)
  const size = sum(plans.map(({ totals }) => totals.size.value))
  const areas = plans.flatMap((plan) => plan.areas)
  return {
    areas: whole.areas.flatMap(({ id }) => areas.find((area) => area.id === id) ?? []),
    totals: {
      size: { value: size, unit: 'm2' },
      carrier: summed(plans.map(({ totals }) => totals.carrier)),
      mix: summed(plans.map(({ totals }) => totals.mix)),
      products: whole.products.flatMap((_, index) => productTotal(whole, groups, index, size) ?? []),
    },
    loads: groups
      .flatMap(({ areas: own, plan }) =>
        plan.loads.map((load) => ({ ...load, areas: load.areas ?? own.map(({ id }) => id) })),
      )
      .map((load, i) => ({ ...load, number: i + 1 })),
    nutrients: meanNutrients(plans, size),
    checks: sortChecks(
      checksOf(groups),
      whole.products.map(({ id }) => id),
    ),
    working: workingOf(groups, whole, size),
    rates: groups.map(groupTold),
  }
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)

/** All in the unit of the first. */
function summed<U extends AmountUnit>(quantities: readonly (Quantity<U> | null)[]): Quantity<U> | null {
  const [first] = quantities
  return first
    ? {
        value: sum(
          quantities.map((one) =>
            one ? (one.value * amountFactor(one.unit)) / amountFactor(first.unit) : 0,
          ),
        ),
        unit: first.unit,
      }
    : null
}

function productTotal(
  { products, method }: PlanRequest,
  groups: readonly GroupPlan[],
  index: number,
  size: number,
): ProductTotal | undefined {
  const totals = groups.flatMap(({ plan }) => plan.totals.products[index] ?? [])
  const [first] = totals
  const product = products[index]
  if (!first || !product) return undefined
  const add = (pick: (total: ProductTotal) => Quantity<AmountUnit> | null) => summed(totals.map(pick))
  const amount = add((total) => total.amount) ?? first.amount
  const reserve =
    method.kind === 'spread' && method.reserve
      ? (method.reserve.value * amountFactor(method.reserve.unit)) / amountFactor(amount.unit)
      : 0
  const factor = rateUnitParts(product.rate.unit).factor
  const rate = sum(
    groups.map(
      ({ plan }, i) =>
        ((totals[i]?.measuredRate.value ?? 0) *
          rateUnitParts(totals[i]?.measuredRate.unit ?? product.rate.unit).factor *
          plan.totals.size.value) /
        size /
        factor,
    ),
  )
  return {
    id: first.id,
    amount,
    mix: add((total) => total.mix),
    measured: add((total) => total.measured) ?? first.measured,
    measuredRate: { value: rate, unit: product.rate.unit },
    charge: method.kind === 'spread' ? { value: amount.value + reserve, unit: amount.unit } : null,
  }
}

/** What lies on the whole ground on average; what lies on one area follows from its own amounts. */
function meanNutrients(plans: readonly Plan[], size: number): NutrientsLaid | null {
  if (plans.some(({ nutrients }) => nutrients === null)) return null
  return Object.fromEntries(
    NUTRIENTS.map((name) => [
      name,
      {
        value: sum(
          plans.map(({ nutrients, totals }) => ((nutrients?.[name].value ?? 0) * totals.size.value) / size),
        ),
        unit: 'lb/1000 ft2',
      },
    ]),
  ) as NutrientsLaid
}

/** Each check says where it holds; what every group says alike is said once. */
function checksOf(groups: readonly GroupPlan[]): Plan['checks'] {
  let before = 0
  const told = groups.flatMap(({ areas, plan }) => {
    const place = areas.map(({ id, name }) => name ?? id).join(', ')
    const first = before
    before += plan.loads.length
    return plan.checks.map((check) => ({
      ...check,
      message:
        check.code === 'nutrients-unknown'
          ? check.message
          : `${place}: ` +
            check.message.replace(/^Load (\d+)/, (_, number: string) => `Load ${Number(number) + first}`),
    }))
  })
  const said = new Set<string>()
  return told.filter(({ message }) => !said.has(message) && said.add(message))
}

const groupTold = ({ areas, request, plan }: GroupPlan): RateGroup => ({
  areas: areas.map(({ id }) => id),
  size: plan.totals.size,
  products: request.products.flatMap(({ id, rate }, i) => {
    const total = plan.totals.products[i]
    return total ? [{ id, rate, amount: total.amount, measured: total.measured }] : []
  }),
})

/**
 * Kg on each m2 that one pass over a group of lawns puts down; undefined for a group without product.
 * @param figure where its working is noted
 */
export function perPassOf(
  { products: [first], size }: RateGroup,
  passes: number,
  figure: Figure = '',
  book: WorkingBook = closedWorkingBook,
): number | undefined {
  if (!first) return undefined
  const perPass = (first.amount.value * amountFactor(first.amount.unit)) / size.value / passes
  book.note(figure, () => [
    `${figureText(first.amount)} on ${sixDigits(size.value)} m2 in ${passes} ` +
      plural(passes, 'pass', 'passes'),
    `each pass = ${sixDigits(1000 * perPass)} g/m2`,
  ])
  return perPass
}

/** Every page of every group, under the names of its areas, and the sum last. */
function workingOf(groups: readonly GroupPlan[], whole: PlanRequest, size: number): readonly Working[] {
  const figures = [...new Set(groups.flatMap(({ plan }) => plan.working.map(({ figure }) => figure)))]
  return figures.map((figure) => ({
    figure,
    lines: [
      ...groups.flatMap(({ areas, plan }) => {
        const page = plan.working.find((one) => one.figure === figure)
        return page ? [`on ${areas.map(({ id, name }) => name ?? id).join(', ')}:`, ...page.lines] : []
      }),
      ...lastLine(figure, groups, whole, size),
    ],
  }))
}

function lastLine(
  figure: Figure,
  groups: readonly GroupPlan[],
  whole: PlanRequest,
  size: number,
): readonly string[] {
  const plans = groups.map(({ plan }) => plan)
  const [list, id, what] = figure.split('.')
  const index = whole.products.findIndex((product) => product.id === id)
  if (list === 'products' && index >= 0) {
    const total = productTotal(whole, groups, index, size)
    if (!total) return []
    if (what === 'charge') {
      return total.charge
        ? [
            whole.method.kind === 'spread' && whole.method.reserve
              ? `all rates together ${figureText(total.amount)}, and the reserve ` +
                `${asEntered(whole.method.reserve)} once`
              : `all rates together ${figureText(total.amount)}`,
            `weigh in = ${figureText(total.charge)}`,
          ]
        : []
    }
    return [`all rates together = ${figureText(what === 'measured' ? total.measured : total.amount)}`]
  }
  if (figure === 'loads.count')
    return [`all rates together = ${sum(plans.map(({ loads }) => loads.length))} loads`]
  if (list === 'nutrients') {
    const name = NUTRIENTS.find((one) => one === id)
    const mean = name && meanNutrients(plans, size)?.[name]
    if (!mean) return []
    const told = nutrientText(mean.value * NUTRIENT_UNIT, '', whole.units, sixDigits)
    return [`on average over the whole ground = ${told}`]
  }
  const volume = summed(plans.map(({ totals }) => (figure === 'mix' ? totals.mix : totals.carrier)))
  return volume ? [`all rates together = ${figureText(volume)}`] : []
}
