import { NUTRIENT_UNIT, nutrientText } from '../quantity/nutrientText'
import type { UnitSystem } from '../quantity/systems'
import { NUTRIENT_NAMES, type Nutrient } from '../label/label'
import { amountFactor, densitySi } from '../quantity/quantity'
import { dimensionOf } from '../quantity/rateUnit'
import type { Plan } from './plan'
import type { PlanProduct, PlanRequest } from './planRequest'
import { hasOwnRates } from './rateGroups'

/** A nutrient on one area: what can be told, and which products hold it in an amount that nobody can tell. */
export interface NutrientOn {
  /** Kg on each m2. */
  readonly known: number
  /** By name: poured by volume, and their density is not known. */
  readonly unknown: readonly string[]
}

const ALL_KNOWN: readonly string[] = []

/**
 * One nutrient on one area; where areas have rates of their own, the mean of all says nothing about one.
 * Source: trade.md 5, what is known to be present but not how much still breaks a ban on it.
 */
export function nutrientOn(areaId: string, nutrient: Nutrient, request: PlanRequest, plan: Plan): NutrientOn {
  if (plan.nutrients && !hasOwnRates(request))
    return { known: plan.nutrients[nutrient].value * NUTRIENT_UNIT, unknown: ALL_KNOWN }
  return {
    known: shareOn(areaId, request, plan, ({ analysis }) => analysis?.[nutrient] ?? 0),
    unknown: plan.nutrients
      ? ALL_KNOWN
      : request.products.flatMap((product) =>
          (product.analysis?.[nutrient] ?? 0) > 0 && !isWeighed(product, plan)
            ? [product.name ?? product.id]
            : [],
        ),
  }
}

/** Whether there is any of it, however much. */
export const isPresent = ({ known, unknown }: NutrientOn): boolean => known > 0 || unknown.length > 0

/** "0.8 lb N/1000 ft2", "N of Liquid feed, how much is not known", or both. */
export function nutrientWords(
  { known, unknown }: NutrientOn,
  nutrient: Nutrient,
  units?: UnitSystem,
): string {
  const name = NUTRIENT_NAMES[nutrient]
  const hidden = `${name} of ${unknown.join(' and ')} (how much is not known without its density)`
  const told = nutrientText(known, name, units)
  return unknown.length === 0 ? told : known > 0 ? `${told} and ${hidden}` : hidden
}

/** Slow-release nitrogen on one area, kg on each m2, as far as it can be told; the rest of it is quick. */
export const slowNitrogenOn = (areaId: string, request: PlanRequest, plan: Plan): number =>
  shareOn(areaId, request, plan, ({ analysis }) => ((analysis?.n ?? 0) * (analysis?.slowN ?? 0)) / 100)

/** Whether the mass of a product's amounts is known. */
const isWeighed = ({ id, density }: PlanProduct, plan: Plan): boolean =>
  density !== undefined ||
  plan.totals.products.some((total) => total.id === id && dimensionOf(total.amount.unit) === 'mass')

/** What per cent of each weighed product's mass come to on one area, kg on each m2. */
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
    const poured = dimensionOf(amount.unit) === 'volume'
    if (poured && !product.density) return sum
    const kilograms =
      amount.value * amountFactor(amount.unit) * (poured && product.density ? densitySi(product.density) : 1)
    return sum + (kilograms * percent) / 100 / area.size.value
  }, 0)
}
