import { betweenDimensions, limitPerArea } from '../label/asProduct'
import { doseOf, type Carrier, type Dose } from '../label/dose'
import { LABEL_NEEDS, type LabelIssue, type LabelLimits } from '../label/label'
import { amountFactor } from '../quantity/quantity'
import { dimensionOf } from '../quantity/rateUnit'
import type { AmountUnit } from '../quantity/units'
import { err, ok, type Result } from '../result'
import type { PlanIssue } from './planIssue'
import type { PlanProduct } from './planRequest'

/**
 * A product with everything its amounts need: dose, limits and measuring step, all as SI product on the
 * ground.
 */
export interface ResolvedProduct {
  readonly product: PlanProduct
  readonly dose: Dose
  /** kg or m3 of product per m2, in the dose's dimension. */
  readonly limits: Partial<Record<keyof LabelLimits, number>>
  /**
   * The unit it is measured in, SI dose amount in one of that unit, and the step in that unit; no step, no
   * rounding.
   */
  readonly measure: {
    readonly unit: AmountUnit
    readonly siPerUnit: number
    readonly step: number | undefined
  }
}

const LIMIT_NAMES = ['low', 'high', 'maxPerApplication'] as const

/**
 * @returns every product resolved, or the issues of the first kind of need there is, each with its place in
 * the question
 */
export function resolveProducts(
  products: readonly PlanProduct[],
  carrier: Carrier | undefined,
): Result<readonly ResolvedProduct[], readonly PlanIssue[]> {
  const issues: PlanIssue[] = []
  const resolved = products.flatMap((product, index) => {
    const found: LabelIssue[] = []
    const one = resolveProduct(product, carrier, found)
    for (const { code, path, message } of found)
      issues.push({ code, place: { product: index, field: path }, message })
    return one ? [one] : []
  })
  const firstNeed = LABEL_NEEDS.find((need) => issues.some((issue) => issue.code === need))
  return firstNeed ? err(issues.filter((issue) => issue.code === firstNeed)) : ok(resolved)
}

function resolveProduct(
  product: PlanProduct,
  carrier: Carrier | undefined,
  issues: LabelIssue[],
): ResolvedProduct | undefined {
  const keep = <T>(result: Result<T, LabelIssue>): T | undefined => {
    if (result.ok) return result.value
    issues.push(result.error)
    return undefined
  }
  const dose = keep(doseOf(product, carrier))
  if (!dose) return undefined
  const limits: Partial<Record<keyof LabelLimits, number>> = {}
  for (const name of LIMIT_NAMES) {
    const limit = product.limits?.[name]
    if (limit)
      limits[name] = keep(limitPerArea(limit, name, dose.dimension, { carrier, density: product.density }))
  }
  const measure = keep(measureOf(product, dose))
  return measure && { product, dose, limits, measure }
}

function measureOf(
  { measureStep, density }: PlanProduct,
  dose: Dose,
): Result<ResolvedProduct['measure'], LabelIssue> {
  if (!measureStep) return ok({ unit: dose.unit, siPerUnit: amountFactor(dose.unit), step: undefined })
  const conversion = betweenDimensions(
    dimensionOf(measureStep.unit),
    dose.dimension,
    density,
    'measureStep.unit',
  )
  if (!conversion.ok) return conversion
  return ok({
    unit: measureStep.unit,
    siPerUnit: amountFactor(measureStep.unit) * conversion.value,
    step: measureStep.value,
  })
}
