import { sumOf } from '../quantity/counting'
import type { Nutrient } from '../label/label'
import { amountFactor, quantity, type Quantity } from '../quantity/quantity'
import { NUTRIENT_UNIT } from '../quantity/nutrientText'
import { rateUnitParts } from '../quantity/rateUnit'
import { err, ok, type Result } from '../result'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { MOST_LOADS } from './loads'
import type { AreaPlan, LoadPlan, NutrientsLaid, Plan, ProductTotal, RateGroup } from './plan'
import { planGroup, inDoseUnit, type GroupProduct, type PlannedGroup } from './planGroup'
import { checksOf } from './planChecks'
import { pathOf, type PlanIssue } from './planIssue'
import { planQuestion, type AskedArea, type PlanQuestion } from './planQuestion'
import type { PlanProduct, PlanRequest } from './planRequest'
import { notePlan } from './planWorking'
import { questionProblems } from './questionProblems'
import { isByRates, rateGroups } from './rateGroups'

/** Why a request of the public contract cannot be planned, and where in it. */
export interface RequestIssue extends Pick<PlanIssue, 'code' | 'message'> {
  /** Dotted; empty for the whole. */
  readonly path: string
}

/**
 * Plans one request of the public contract.
 * @param request quantities as entered, in any unit of the tables; single numbers already in range
 *   (positive, at most 1e9)
 * @returns as `workOutPlan`, issues with their path in the request
 * @example 5,870 ft2 at 3.4 lb/1000 ft2: 19.958 lb, 9.979 lb in each of two passes
 */
export function planApplication(
  request: PlanRequest,
  book: WorkingBook = closedWorkingBook,
): Result<Plan, readonly RequestIssue[]> {
  const planned = workOutPlan(planQuestion(request), book)
  return planned.ok
    ? ok(planned.value.plan)
    : err(planned.error.map(({ code, place, message }) => ({ code, path: pathOf(place), message })))
}

/** A plan, and the groups it was made of: every product resolved at the rate each area takes. */
export interface WorkedPlan {
  readonly plan: Plan
  readonly groups: readonly PlannedGroup[]
}

/** Nobody mixes or weighs one application more often than this. */
const MOST_RATES = 100

/**
 * Plans one application: a dry product, or one tank mix, on its areas; apart for each set of rates its areas
 * take.
 * @param book where the working is kept; by default none is
 * @returns amounts in the unit of the rate, sizes in m2, spray in the carrier's volume unit, nothing
 *   rounded but `measured`.
 * Errors: `invalid` (contradictions, or a result too large to be a number), then the first of
 * `needs-analysis`, `needs-active`,
 *   `needs-carrier`, `needs-density`, then `too-many-loads`. Never throws.
 * Source: the public plan contract; trade.md 4 to 6.
 */
export function workOutPlan(
  question: PlanQuestion,
  book: WorkingBook = closedWorkingBook,
): Result<WorkedPlan, readonly PlanIssue[]> {
  const problems = questionProblems(question)
  if (problems.length > 0) return err(problems)
  const asked = rateGroups(question)
  if (asked.length > MOST_RATES)
    return refused(
      'invalid',
      { whole: 'areas' },
      `These areas take ${asked.length} different sets of rates; the most that one application is ` +
        `mixed or weighed apart for is ${MOST_RATES}.`,
    )
  const books = asked.map(() => (isByRates(question) ? book.another() : book))
  const groups: PlannedGroup[] = []
  for (const [index, one] of asked.entries()) {
    const planned = planGroup(one, question, books[index] ?? book)
    if (!planned.ok) return planned
    groups.push(planned.value)
    if (sumOf(groups, ({ loads }) => loads.length) > MOST_LOADS)
      return refused(
        'too-many-loads',
        { method: 'tank' },
        `Mixed apart for each rate this takes over ${MOST_LOADS} tank loads. Check the carrier's and ` +
          `the tank's units.`,
      )
  }
  const plan = composePlan(question, groups)
  notePlan(question, groups, plan, books, book)
  return isFiniteThroughout(plan)
    ? ok({ plan: { ...plan, working: book.pages() }, groups })
    : refused(
        'invalid',
        { whole: '' },
        'These figures come to a result too large or too small to be a number: check the units.',
      )
}

const refused = (code: PlanIssue['code'], place: PlanIssue['place'], message: string) =>
  err([{ code, place, message }])

function composePlan(question: PlanQuestion, groups: readonly PlannedGroup[]): Plan {
  const { products, water } = question
  const size = sumOf(groups, (group) => group.size)
  const volume = (si: (group: PlannedGroup) => number) =>
    water ? { value: sumOf(groups, si) / amountFactor(water.carrier.unit), unit: water.carrier.unit } : null
  return {
    areas: areaPlans(question, groups),
    totals: {
      size: { value: size, unit: 'm2' },
      carrier: volume(({ spray }) => spray),
      mix: volume(({ mix }) => mix),
      products: products.flatMap((product, index) => productTotal(product, index, groups, question) ?? []),
    },
    loads: loadPlans(groups, question),
    nutrients: nutrientsOf(groups, size),
    checks: checksOf(groups, question),
    working: [],
    ...(isByRates(question) && { rates: groups.map(rateGroupOf) }),
  }
}

/** Areas in the order in which they were asked. */
function areaPlans(
  { areas, water, method }: PlanQuestion,
  groups: readonly PlannedGroup[],
): readonly AreaPlan[] {
  const passes = method.kind === 'spread' ? method.passes : undefined
  const planOf = ({ entered: { id }, size }: AskedArea, { products }: PlannedGroup): AreaPlan => ({
    id,
    size: { value: size, unit: 'm2' },
    carrier: water
      ? {
          value: (size * water.carrier.perArea) / amountFactor(water.carrier.unit),
          unit: water.carrier.unit,
        }
      : null,
    products: products.map(({ resolved }) => {
      const amount = inDoseUnit(resolved, size * resolved.dose.perArea)
      return {
        id: resolved.product.id,
        amount,
        perPass: passes ? { value: amount.value / passes, unit: amount.unit } : null,
      }
    }),
  })
  const [first] = groups
  if (first && groups.length === 1) return areas.map((area) => planOf(area, first))
  const planned = new Map(groups.flatMap((group) => group.areas.map((area) => [area, planOf(area, group)])))
  return areas.flatMap((area) => planned.get(area) ?? [])
}

/** The loads of all groups, one after the other; they say whom they are for where that is not everybody. */
function loadPlans(groups: readonly PlannedGroup[], question: PlanQuestion): readonly LoadPlan[] {
  if (!question.water) return []
  const { unit } = question.water.carrier
  const [litre, byRates] = [amountFactor(unit), isByRates(question)]
  let number = 0
  return groups.flatMap(({ areas, loads, products }) =>
    loads.map((load, index): LoadPlan => {
      const own = load.areas?.flatMap((place) => areas[place] ?? []) ?? (byRates ? areas : undefined)
      number += 1
      return {
        number,
        size: { value: load.size, unit: 'm2' },
        carrier: { value: load.carrier / litre, unit },
        products: products.map(({ resolved, loads: held }) => ({
          id: resolved.product.id,
          amount: inDoseUnit(resolved, held[index]?.amount ?? 0),
          measured: { value: held[index]?.measured ?? 0, unit: resolved.measure.unit },
        })),
        ...(own && { areas: own.map(({ entered }) => entered.id) }),
      }
    }),
  )
}

/** One product over some groups, in the units of the first; the reserve is charged once. */
function productTotal(
  { id, rate }: PlanProduct,
  index: number,
  groups: readonly PlannedGroup[],
  { method }: PlanQuestion,
): ProductTotal | undefined {
  const shares = groups.flatMap(({ products }) => products[index] ?? [])
  const [first] = shares
  if (!first) return undefined
  const { resolved } = first
  const size = sumOf(groups, (group) => group.size)
  const amount = sumOf(shares, (share) => share.amount)
  const rateFactor = rateUnitParts(rate.unit).factor
  const reserve =
    method.kind === 'spread' && method.reserve ? method.reserve.value * amountFactor(method.reserve.unit) : 0
  return {
    id,
    amount: inDoseUnit(resolved, amount),
    mix:
      method.kind === 'spray'
        ? inDoseUnit(
            resolved,
            sumOf(shares, ({ mix }) => mix),
          )
        : null,
    measured: {
      value: sumOf(shares, (share) => share.measured * (siOf(share) / siOf(first))),
      unit: resolved.measure.unit,
    },
    measuredRate: {
      value: sumOf(
        shares,
        (share) => measuredRate(share) * (rateFactorOf(share) / rateFactor) * (share.size / size),
      ),
      unit: rate.unit,
    },
    charge: method.kind === 'spread' ? inDoseUnit(resolved, amount + reserve) : null,
  }
}

const siOf = ({ resolved }: GroupProduct): number => resolved.measure.siPerUnit
const rateFactorOf = ({ resolved }: GroupProduct): number => rateUnitParts(resolved.product.rate.unit).factor
/** In the unit of the group's own rate. */
const measuredRate = ({ resolved: { product, dose }, measuredPerArea }: GroupProduct): number =>
  (product.rate.value * measuredPerArea) / dose.perArea

/** What lies on the whole ground on average; what lies on one area follows from its own amounts. */
function nutrientsOf(groups: readonly PlannedGroup[], size: number): NutrientsLaid | null {
  if (groups.some(({ nutrients }) => nutrients.laid === null)) return null
  const mean = (nutrient: Nutrient) =>
    quantity(
      sumOf(groups, ({ nutrients, size: own }) => (nutrients.laid?.[nutrient] ?? 0) * (own / size)) /
        NUTRIENT_UNIT,
      'lb/1000 ft2' as const,
    )
  return { n: mean('n'), p2o5: mean('p2o5'), k2o: mean('k2o'), fe: mean('fe') }
}

const rateGroupOf = ({ areas, size, products }: PlannedGroup): RateGroup => ({
  areas: areas.map(({ entered }) => entered.id),
  size: { value: size, unit: 'm2' },
  products: products.map(({ resolved, amount, measured }) => ({
    id: resolved.product.id,
    rate: resolved.product.rate,
    amount: inDoseUnit(resolved, amount),
    measured: { value: measured, unit: resolved.measure.unit },
  })),
})

/** Whether every figure in the plan is a number; written out by hand, because it runs with every replan. */
function isFiniteThroughout({ areas, totals, loads, nutrients }: Plan): boolean {
  const figure = (quantity: Quantity | null) => quantity === null || Number.isFinite(quantity.value)
  return (
    figure(totals.size) &&
    figure(totals.carrier) &&
    figure(totals.mix) &&
    totals.products.every(
      (total) =>
        figure(total.amount) &&
        figure(total.mix) &&
        figure(total.measured) &&
        figure(total.measuredRate) &&
        figure(total.charge),
    ) &&
    areas.every(
      ({ size, carrier, products }) =>
        figure(size) &&
        figure(carrier) &&
        products.every(({ amount, perPass }) => figure(amount) && figure(perPass)),
    ) &&
    loads.every(
      ({ size, carrier, products }) =>
        figure(size) &&
        figure(carrier) &&
        products.every((product) => figure(product.amount) && figure(product.measured)),
    ) &&
    (nutrients === null || Object.values(nutrients).every(figure))
  )
}
