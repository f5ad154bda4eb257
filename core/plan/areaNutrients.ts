import { NUTRIENTS, type Nutrient } from '../label/label'
import { amountFactor, densitySi } from '../quantity/quantity'
import { dimensionOf } from '../quantity/rateUnit'
import { NUTRIENT_UNIT_SI } from './nutrientsLaid'
import type { Plan } from './plan'
import type { PlanRequest } from './planRequest'
import { hasOwnRates } from './rateGroups'

/**
 * Nutrients on one area, lb on 1,000 ft2: where areas have rates of their own, the mean of all says nothing about one.
 * @returns undefined where a label does not tell
 */
export function nutrientsOn(areaId: string, request: PlanRequest, plan: Plan): Readonly<Record<Nutrient, number>> | undefined {
  const { nutrients } = plan
  if (!nutrients) return undefined
  if (!hasOwnRates(request)) return { n: nutrients.n.value, p2o5: nutrients.p2o5.value, k2o: nutrients.k2o.value, fe: nutrients.fe.value }
  const area = plan.areas.find(({ id }) => id === areaId)
  const onArea = (name: Nutrient) => request.products.reduce((sum, { id, analysis, density }) => {
    const amount = area?.products.find((one) => one.id === id)?.amount
    const percent = analysis?.[name] ?? 0
    if (!amount || !area || percent === 0) return sum
    const kilograms = amount.value * amountFactor(amount.unit) * (dimensionOf(amount.unit) === 'volume' && density ? densitySi(density) : 1)
    return sum + (kilograms * percent) / 100 / area.size.value / NUTRIENT_UNIT_SI
  }, 0)
  return Object.fromEntries(NUTRIENTS.map((name) => [name, onArea(name)])) as Record<Nutrient, number>
}
