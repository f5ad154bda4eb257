import { isOver } from '../quantity/tolerance'
import { betweenDimensions } from '../label/asProduct'
import type { Carrier } from '../label/dose'
import { amountFactor } from '../quantity/quantity'
import { NUTRIENT_NAMES } from '../label/label'
import { rateUnitParts } from '../quantity/rateUnit'
import type { PlanIssue } from './planIssue'
import type { PlanProduct, PlanRequest, SprayMethod } from './planRequest'
import { ownRateProblems } from './rateGroups'

/**
 * What in a request contradicts itself: repeated ids, a nutrient target in fluid measure, low above high,
 * dead volume as big as the tank, a dry method with several products or a liquid. Ranges of single numbers
 * are the schema's business.
 */
export function requestProblems(request: PlanRequest, carrier: Carrier | undefined): readonly PlanIssue[] {
  const { areas, products, method } = request
  // Most areas have no rate of their own: those that do are looked up once, not for each product.
  const own = areas.flatMap(({ rates = [] }, i) =>
    rates.map(({ id, limits }, k) => ({ id, limits, path: `areas.${i}.rates.${k}` })),
  )
  return [
    ...repeatedIds(areas, 'areas'),
    ...repeatedIds(products, 'products'),
    ...ownRateProblems(request),
    ...(method.kind === 'spray' ? tankProblems(method) : dryProblems(products)),
    ...products.flatMap((product, index) => [
      ...basisProblems(product, `products.${index}`),
      ...limitOrderProblems(product, `products.${index}`, carrier),
      ...own.flatMap(({ id, limits, path }) =>
        id === product.id && limits ? limitOrderProblems({ ...product, limits }, path, carrier) : [],
      ),
    ]),
  ]
}

const invalid = (path: string, message: string): PlanIssue => ({ code: 'invalid', path, message })

function repeatedIds(rows: readonly { readonly id: string }[], list: string): readonly PlanIssue[] {
  const seen = new Set<string>()
  return rows.flatMap(({ id }, index) => {
    if (seen.has(id))
      return [invalid(`${list}.${index}.id`, `The id ${id} stands twice; each needs its own.`)]
    seen.add(id)
    return []
  })
}

function tankProblems({ tank, dead }: SprayMethod): readonly PlanIssue[] {
  if (!dead || dead.value * amountFactor(dead.unit) < tank.value * amountFactor(tank.unit)) return []
  return [invalid('method.dead', 'The dead volume must be smaller than the tank.')]
}

function dryProblems(products: readonly PlanProduct[]): readonly PlanIssue[] {
  const several =
    products.length > 1
      ? [
          invalid(
            'products',
            'A spreader carries one product at a time: plan each dry product as its own application.',
          ),
        ]
      : []
  const liquids = products.flatMap(({ rate }, index) => {
    const { per, dimension } = rateUnitParts(rate.unit)
    return per === 'area' && dimension === 'volume'
      ? [
          invalid(
            `products.${index}.rate.unit`,
            'A dry product is spread by weight: give the rate as mass per area, such as lb/1000 ft2.',
          ),
        ]
      : []
  })
  return [...several, ...liquids]
}

function basisProblems({ basis, rate }: PlanProduct, path: string): readonly PlanIssue[] {
  if (!basis || basis === 'product' || rateUnitParts(rate.unit).dimension === 'mass') return []
  const what = basis === 'active' ? 'active ingredient' : NUTRIENT_NAMES[basis]
  return [
    invalid(
      `${path}.rate.unit`,
      `A rate of ${what} is a mass: give it per area (lb/1000 ft2) or per volume of spray (oz/gal, g/L).`,
    ),
  ]
}

/**
 * Low against high where they can be compared at all; what a comparison lacks is asked for later, with its
 * own code.
 */
function limitOrderProblems(
  { limits, density }: PlanProduct,
  path: string,
  carrier: Carrier | undefined,
): readonly PlanIssue[] {
  if (!limits?.low || !limits.high) return []
  const low = rateUnitParts(limits.low.unit)
  const high = rateUnitParts(limits.high.unit)
  const conversion = betweenDimensions(low.dimension, high.dimension, density, path)
  if (!conversion.ok || (low.per !== high.per && !carrier)) return []
  const ground = (per: 'area' | 'spray') =>
    per === 'spray' && low.per !== high.per && carrier ? carrier.perArea : 1
  const lowSi = limits.low.value * low.factor * conversion.value * ground(low.per)
  const highSi = limits.high.value * high.factor * ground(high.per)
  if (!isOver(lowSi, highSi)) return []
  return [
    invalid(
      `${path}.limits.low`,
      'The lowest label rate is above the highest: swap them or check the units.',
    ),
  ]
}
