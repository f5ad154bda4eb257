import { sumOf } from '../quantity/counting'
import type { Carrier } from '../label/dose'
import { carrierOf } from './carrierOf'
import { amountFactor, type Quantity } from '../quantity/quantity'
import { err, ok, type Result } from '../result'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { groundwork, type Groundwork } from './groundwork'
import { MOST_LOADS, type Load } from './loads'
import { measuredAmount } from './measuredAmount'
import { mergePlans, type GroupPlan } from './mergePlans'
import { nutrientsLaid } from './nutrientsLaid'
import type { AreaPlan, LoadPlan, Plan, ProductTotal } from './plan'
import {
  coarseCheck,
  limitChecks,
  measuredPairs,
  nutrientChecks,
  partLoadCheck,
  sortChecks,
} from './planChecks'
import type { PlanIssue } from './planIssue'
import type { PlanRequest, SpreadMethod, SprayMethod } from './planRequest'
import { noteProduct, noteSpray } from './planWorking'
import { hasOwnRates, rateGroups } from './rateGroups'
import { requestProblems } from './requestProblems'
import { resolveProducts, type ResolvedProduct } from './resolveProducts'

/**
 * Plans one application: a dry product, or one tank mix, on its areas.
 * @param request quantities as entered, in any unit of the tables; single numbers already in range
 *   (positive, at most 1e9)
 * @param book where the working is kept; by default none is
 * @returns amounts in the unit of the rate, sizes in m2, spray in the carrier's volume unit, nothing
 *   rounded but `measured`.
 * Errors: `invalid` (contradictions, or a result too large to be a number), then the first of
 * `needs-analysis`, `needs-active`,
 *   `needs-carrier`, `needs-density`, then `too-many-loads`. Never throws.
 * Source: the public plan contract; trade.md 4 to 6.
 * @example 5,870 ft2 at 3.4 lb/1000 ft2: 19.958 lb, 9.979 lb in each of two passes
 */
export function planApplication(
  request: PlanRequest,
  book: WorkingBook = closedWorkingBook,
): Result<Plan, readonly PlanIssue[]> {
  const carrier = carrierOf(request.method)
  const problems = requestProblems(request, carrier)
  if (problems.length > 0) return err(problems)
  return hasOwnRates(request) ? planByRates(request, carrier, book) : planAlike(request, carrier, book)
}

/** Nobody mixes or weighs one application more often than this. */
const MOST_RATES = 100

/** Areas with rates of their own: a plan for each rate, then one of all. */
function planByRates(
  request: PlanRequest,
  carrier: Carrier | undefined,
  book: WorkingBook,
): Result<Plan, readonly PlanIssue[]> {
  const groups: GroupPlan[] = []
  const apart = rateGroups(request)
  if (apart.length > MOST_RATES)
    return err([
      {
        code: 'invalid',
        path: 'areas',
        message:
          `These areas take ${apart.length} different sets of rates; the most that one application is ` +
          `mixed or weighed apart for is ${MOST_RATES}.`,
      },
    ])
  for (const group of apart) {
    const planned = planAlike(group.request, carrier, book.another())
    if (!planned.ok) return planned
    groups.push({ ...group, plan: planned.value })
    if (sumOf(groups, ({ plan: { loads } }) => loads.length) > MOST_LOADS)
      return err([
        {
          code: 'too-many-loads',
          path: 'method.tank',
          message:
            `Mixed apart for each rate this takes over ${MOST_LOADS} tank loads. Check the carrier's and ` +
            `the tank's units.`,
        },
      ])
  }
  const plan = mergePlans(request, groups)
  for (const { figure, lines } of plan.working) book.note(figure, () => lines)
  return ok(plan)
}

function planAlike(
  request: PlanRequest,
  carrier: Carrier | undefined,
  book: WorkingBook,
): Result<Plan, readonly PlanIssue[]> {
  const resolved = resolveProducts(request.products, carrier)
  if (!resolved.ok) return resolved
  const ground = groundwork(request, carrier)
  if (!ground.ok) return ground
  const plan = composePlan(resolved.value, ground.value, request, book)
  return isFiniteThroughout(plan)
    ? ok(plan)
    : err([
        {
          code: 'invalid',
          path: '',
          message: 'These figures come to a result too large or too small to be a number: check the units.',
        },
      ])
}

function composePlan(
  products: readonly ResolvedProduct[],
  ground: Groundwork,
  { method, units }: PlanRequest,
  book: WorkingBook,
): Plan {
  const wet =
    method.kind === 'spray' && ground.carrier
      ? { method, carrier: ground.carrier, litre: amountFactor(ground.carrier.unit) }
      : undefined
  const volume = (si: number) => (wet ? { value: si / wet.litre, unit: wet.carrier.unit } : null)
  const loads = ground.loads.map((load, index): LoadPlan => ({
    number: index + 1,
    size: { value: load.size, unit: 'm2' },
    carrier: { value: load.carrier / (wet?.litre ?? 1), unit: wet?.carrier.unit ?? 'L' },
    products: products.map((resolved) => loadProduct(resolved, load)),
    ...(load.areas && { areas: load.areas.flatMap((place) => ground.areas[place]?.area.id ?? []) }),
  }))
  const totals = products.map((resolved, index) => productTotal(resolved, index, ground, method, loads))
  const nutrients = nutrientsLaid(products, book, units)
  totals.forEach((total, index) => {
    const resolved = products[index]
    if (resolved) noteProduct(resolved, total, ground, method, loads, book)
  })
  if (wet) noteSpray(ground, wet.method, wet.litre, book)
  const checks = [
    ...products.flatMap(limitChecks),
    ...products.flatMap((resolved, index) => {
      const total = totals[index]
      const toMeasure = amountFactor(resolved.dose.unit) / resolved.measure.siPerUnit
      return total
        ? coarseCheck(
            resolved,
            measuredPairs(total, loads, (amount) => amount * toMeasure),
          )
        : []
    }),
    ...nutrientChecks(nutrients, units),
    ...(wet ? partLoadCheck(ground.loads, wet.method) : []),
  ]
  return {
    areas: ground.areas.map(({ area, size }) => areaPlan(area.id, size, products, ground, method)),
    totals: {
      size: { value: ground.size, unit: 'm2' },
      carrier: volume(ground.spray),
      mix: volume(ground.mix),
      products: totals,
    },
    loads,
    nutrients: nutrients.laid,
    checks: sortChecks(
      checks,
      products.map(({ product }) => product.id),
    ),
    working: book.pages(),
  }
}

function areaPlan(
  id: string,
  size: number,
  products: readonly ResolvedProduct[],
  { carrier }: Groundwork,
  method: SpreadMethod | SprayMethod,
): AreaPlan {
  return {
    id,
    size: { value: size, unit: 'm2' },
    carrier: carrier
      ? { value: (size * carrier.perArea) / amountFactor(carrier.unit), unit: carrier.unit }
      : null,
    products: products.map(({ product, dose }) => {
      const value = (size * dose.perArea) / amountFactor(dose.unit)
      return {
        id: product.id,
        amount: { value, unit: dose.unit },
        perPass: method.kind === 'spread' ? { value: value / method.passes, unit: dose.unit } : null,
      }
    }),
  }
}

function loadProduct(
  { product, dose, limits, measure }: ResolvedProduct,
  load: Load,
): LoadPlan['products'][number] {
  const si = load.covers * dose.perArea
  return {
    id: product.id,
    amount: { value: si / amountFactor(dose.unit), unit: dose.unit },
    measured: { value: measured(si, measure, limits, load.covers), unit: measure.unit },
  }
}

/** An SI amount for so many m2, as the measuring tool will give it, in the tool's unit. */
function measured(
  si: number,
  measure: ResolvedProduct['measure'],
  limits: ResolvedProduct['limits'],
  covers: number,
): number {
  if (measure.step === undefined) return si / measure.siPerUnit
  const cap = Math.min(limits.high ?? Infinity, limits.maxPerApplication ?? Infinity) * covers
  return measuredAmount(si / measure.siPerUnit, measure.step, cap / measure.siPerUnit)
}

function productTotal(
  { product, dose, limits, measure }: ResolvedProduct,
  index: number,
  ground: Groundwork,
  method: SpreadMethod | SprayMethod,
  loads: readonly LoadPlan[],
): ProductTotal {
  const unitSi = amountFactor(dose.unit)
  const si = ground.size * dose.perArea
  const wet = method.kind === 'spray'
  const total = wet
    ? sumOf(loads, (load) => load.products[index]?.measured.value ?? 0)
    : measured(si, measure, limits, ground.size)
  const onLawn = wet ? (total * ground.spray) / ground.mix : total
  const measuredPerArea = (onLawn * measure.siPerUnit) / ground.size
  const reserve =
    method.kind === 'spread' && method.reserve ? method.reserve.value * amountFactor(method.reserve.unit) : 0
  return {
    id: product.id,
    amount: { value: si / unitSi, unit: dose.unit },
    mix: wet ? { value: (si * ground.mix) / ground.spray / unitSi, unit: dose.unit } : null,
    measured: { value: total, unit: measure.unit },
    measuredRate: { value: (product.rate.value * measuredPerArea) / dose.perArea, unit: product.rate.unit },
    charge: wet ? null : { value: (si + reserve) / unitSi, unit: dose.unit },
  }
}

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
