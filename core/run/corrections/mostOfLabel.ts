import { doseOf, type Carrier } from '../../label/dose'
import type { LabelledProduct } from '../../label/label'
import { carrierOf } from '../../plan/carrierOf'
import type { PlanRequest } from '../../plan/planRequest'

/**
 * The most a label allows over what is meant: 1.25 where a quarter more is still inside.
 * @param carrier undefined for dry work
 * @returns undefined where it names no most
 */
export function mostOfLabel(product: LabelledProduct, carrier: Carrier | undefined): number | undefined {
  const most = product.limits?.maxPerApplication
  const meant = doseOf(product, carrier)
  // Limits count product, whatever the rate counts.
  const limit = most && doseOf({ ...product, rate: most, basis: 'product' }, carrier)
  return meant.ok && limit?.ok ? limit.value.perArea / meant.value.perArea : undefined
}

/** Of several products in one mix the one that allows least. */
export function mostOfMix({ products, method }: PlanRequest): number | undefined {
  const shares = products.flatMap((product) => mostOfLabel(product, carrierOf(method)) ?? [])
  return shares.length > 0 ? Math.min(...shares) : undefined
}
