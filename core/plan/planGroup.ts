import { amountFactor } from '../quantity/quantity'
import { sumOf } from '../quantity/counting'
import { ok, type Result } from '../result'
import type { WorkingBook } from '../working/working'
import { groundwork, type Groundwork } from './groundwork'
import type { Load } from './loads'
import { measuredAmount } from './measuredAmount'
import { nutrientsLaid, type NutrientsSum } from './nutrientsLaid'
import type { PlanIssue } from './planIssue'
import type { AskedArea, PlanQuestion } from './planQuestion'
import type { AskedGroup } from './rateGroups'
import { resolveProducts, type ResolvedProduct } from './resolveProducts'

/** What the areas of one group take of one product; kg or m3. */
export interface GroupProduct {
  readonly resolved: ResolvedProduct
  /** The ground of its group, m2. */
  readonly size: number
  readonly amount: number
  /** The amount and its share of the dead volume; as much as the amount in dry work. */
  readonly mix: number
  /** What is measured out, all loads together, in the measuring tool's unit. */
  readonly measured: number
  /** What of the measured lands on each m2. */
  readonly measuredPerArea: number
  /** Load by load: kg or m3, and what is measured of it in the tool's unit. */
  readonly loads: readonly { readonly amount: number; readonly measured: number }[]
}

/** Areas that take the same rates, and all they take: their own tanks or their own charge. */
export interface PlannedGroup extends Groundwork {
  readonly areas: readonly AskedArea[]
  readonly products: readonly GroupProduct[]
  readonly nutrients: NutrientsSum
}

/** Plans the areas of one group; errors as of the plan. */
export function planGroup(
  { areas, products }: AskedGroup,
  question: PlanQuestion,
  book: WorkingBook,
): Result<PlannedGroup, readonly PlanIssue[]> {
  const resolved = resolveProducts(products, question.water?.carrier)
  if (!resolved.ok) return resolved
  const ground = groundwork(areas, question)
  if (!ground.ok) return ground
  const { size, spray, mix, loads } = ground.value
  return ok({
    size,
    spray,
    mix,
    loads,
    areas,
    products: resolved.value.map((product) => groupProduct(product, ground.value, question)),
    nutrients: nutrientsLaid(resolved.value, book, question.units),
  })
}

function groupProduct(
  resolved: ResolvedProduct,
  { size, spray, mix, loads }: Groundwork,
  { water }: PlanQuestion,
): GroupProduct {
  const amount = size * resolved.dose.perArea
  const inLoads = loads.map((load) => ({
    amount: load.covers * resolved.dose.perArea,
    measured: measuredFor(resolved, load),
  }))
  const measured = water ? sumOf(inLoads, (load) => load.measured) : measuredFor(resolved, { covers: size })
  const onLawn = water ? (measured * spray) / mix : measured
  return {
    resolved,
    size,
    amount,
    mix: water ? (amount * mix) / spray : amount,
    measured,
    measuredPerArea: (onLawn * resolved.measure.siPerUnit) / size,
    loads: inLoads,
  }
}

/** The dose of so many m2 as the measuring tool will give it, in the tool's unit. */
function measuredFor({ dose, measure, limits }: ResolvedProduct, { covers }: Pick<Load, 'covers'>): number {
  const exact = (covers * dose.perArea) / measure.siPerUnit
  if (measure.step === undefined) return exact
  const cap = Math.min(limits.high ?? Infinity, limits.maxPerApplication ?? Infinity) * covers
  return measuredAmount(exact, measure.step, cap / measure.siPerUnit)
}

/** An SI amount in the unit that a product's amounts are told in. */
export const inDoseUnit = ({ dose }: ResolvedProduct, si: number) => ({
  value: si / amountFactor(dose.unit),
  unit: dose.unit,
})
