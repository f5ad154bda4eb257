import { NUTRIENTS, type Nutrient } from '../label/label'
import { amountFactor, densitySi } from '../quantity/quantity'
import { dimensionOf } from '../quantity/rateUnit'
import { NUTRIENT_UNIT_SI } from './nutrientsLaid'
import type { Plan } from './plan'
import type { PlanProduct, PlanRequest } from './planRequest'
import { hasOwnRates } from './rateGroups'

/**
 * Nutrients on one area, lb on 1,000 ft2: where areas have rates of their own, the mean of all says nothing
 * about one.
 * @returns undefined where a label does not tell
 */
export function nutrientsOn(
  areaId: string,
  request: PlanRequest,
  plan: Plan,
): Readonly<Record<Nutrient, number>> | undefined {
  const { nutrients } = plan
  if (!nutrients) return undefined
  if (!hasOwnRates(request))
    return {
      n: nutrients.n.value,
      p2o5: nutrients.p2o5.value,
      k2o: nutrients.k2o.value,
      fe: nutrients.fe.value,
    }
  return Object.fromEntries(
    NUTRIENTS.map((name) => [name, shareOn(areaId, request, plan, ({ analysis }) => analysis?.[name] ?? 0)]),
  ) as Record<Nutrient, number>
}

/**
 * Slow-release nitrogen on one area, lb on 1,000 ft2; the rest of its nitrogen is quick.
 * @returns undefined where a label does not tell
 */
export const slowNitrogenOn = (areaId: string, request: PlanRequest, plan: Plan): number | undefined =>
  plan.nutrients
    ? shareOn(areaId, request, plan, ({ analysis }) => ((analysis?.n ?? 0) * (analysis?.slowN ?? 0)) / 100)
    : undefined

/** What per cent of each product's mass come to on one area, lb on 1,000 ft2. */
function shareOn(
  areaId: string,
  request: PlanRequest,
  plan: Plan,
  percentOf: (product: PlanProduct) => number,
): number {
  const area = plan.areas.find(({ id }) => id === areaId)
  return request.products.reduce((sum, product) => {
    const amount = area?.products.find(({ id }) => id === product.id)?.amount
    const percent = percentOf(product)
    if (!amount || !area || percent === 0) return sum
    const kilograms =
      amount.value *
      amountFactor(amount.unit) *
      (dimensionOf(amount.unit) === 'volume' && product.density ? densitySi(product.density) : 1)
    return sum + (kilograms * percent) / 100 / area.size.value / NUTRIENT_UNIT_SI
  }, 0)
}
