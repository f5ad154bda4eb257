import { isOver } from '../quantity/tolerance'
import { betweenDimensions } from '../label/asProduct'
import type { Carrier } from '../label/dose'
import { NUTRIENT_NAMES } from '../label/label'
import { rateUnitParts } from '../quantity/rateUnit'
import type { PlanIssue, PlanPlace } from './planIssue'
import type { AskedWater, PlanQuestion } from './planQuestion'
import type { PlanProduct } from './planRequest'
import { ownRateProblems } from './rateGroups'

/**
 * What in a question contradicts itself: repeated ids, a nutrient target in fluid measure, low above high,
 * dead volume as big as the tank, a dry method with several products or a liquid. Ranges of single numbers
 * are the schema's business.
 */
export function questionProblems(question: PlanQuestion): readonly PlanIssue[] {
  const { areas, products, water } = question
  const carrier = water?.carrier
  // Most areas have no rate of their own: those that do are looked up once, not for each product.
  const own = areas.flatMap(({ entered: { rates = [] } }, area) =>
    rates.map(({ id, limits }, rate) => ({ id, limits, place: { area, rate, field: 'limits.low' } })),
  )
  return [
    ...repeated(areas.map(({ entered }) => entered.id)).map(([area, id]) =>
      repeatedId({ area, field: 'id' }, id),
    ),
    ...repeated(products.map(({ id }) => id)).map(([product, id]) =>
      repeatedId({ product, field: 'id' }, id),
    ),
    ...ownRateProblems(question),
    ...(water ? tankProblems(water) : dryProblems(products)),
    ...products.flatMap((product, index) => [
      ...basisProblems(product, { product: index, field: 'rate.unit' }),
      ...limitOrderProblems(product, { product: index, field: 'limits.low' }, carrier),
      ...own.flatMap(({ id, limits, place }) =>
        id === product.id && limits ? limitOrderProblems({ ...product, limits }, place, carrier) : [],
      ),
    ]),
  ]
}

const invalid = (place: PlanPlace, message: string): PlanIssue => ({ code: 'invalid', place, message })

const repeatedId = (place: PlanPlace, id: string) =>
  invalid(place, `The id ${id} stands twice; each needs its own.`)

/** Places and ids of those that stood before. */
function repeated(ids: readonly string[]): readonly (readonly [number, string])[] {
  const seen = new Set<string>()
  return ids.flatMap((id, index) => {
    if (seen.has(id)) return [[index, id] as const]
    seen.add(id)
    return []
  })
}

const tankProblems = ({ tank, dead }: AskedWater): readonly PlanIssue[] =>
  dead < tank ? [] : [invalid({ method: 'dead' }, 'The dead volume must be smaller than the tank.')]

function dryProblems(products: readonly PlanProduct[]): readonly PlanIssue[] {
  const several =
    products.length > 1
      ? [
          invalid(
            { whole: 'products' },
            'A spreader carries one product at a time: plan each dry product as its own application.',
          ),
        ]
      : []
  const liquids = products.flatMap(({ rate }, product) => {
    const { per, dimension } = rateUnitParts(rate.unit)
    return per === 'area' && dimension === 'volume'
      ? [
          invalid(
            { product, field: 'rate.unit' },
            'A dry product is spread by weight: give the rate as mass per area, such as lb/1000 ft2.',
          ),
        ]
      : []
  })
  return [...several, ...liquids]
}

function basisProblems({ basis, rate }: PlanProduct, place: PlanPlace): readonly PlanIssue[] {
  if (!basis || basis === 'product' || rateUnitParts(rate.unit).dimension === 'mass') return []
  const what = basis === 'active' ? 'active ingredient' : NUTRIENT_NAMES[basis]
  return [
    invalid(
      place,
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
  place: PlanPlace,
  carrier: Carrier | undefined,
): readonly PlanIssue[] {
  if (!limits?.low || !limits.high) return []
  const low = rateUnitParts(limits.low.unit)
  const high = rateUnitParts(limits.high.unit)
  const conversion = betweenDimensions(low.dimension, high.dimension, density, '')
  if (!conversion.ok || (low.per !== high.per && !carrier)) return []
  const ground = (per: 'area' | 'spray') =>
    per === 'spray' && low.per !== high.per && carrier ? carrier.perArea : 1
  const lowSi = limits.low.value * low.factor * conversion.value * ground(low.per)
  const highSi = limits.high.value * high.factor * ground(high.per)
  if (!isOver(lowSi, highSi)) return []
  return [invalid(place, 'The lowest label rate is above the highest: swap them or check the units.')]
}
