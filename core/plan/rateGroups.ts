import type { Rate } from '../label/label'
import { rateUnitParts } from '../quantity/rateUnit'
import type { PlanIssue } from './planIssue'
import type { PlanArea, PlanRequest } from './planRequest'

/** Areas of one application that take the same rates, as a request of their own. */
export interface RateRequest {
  readonly areas: readonly PlanArea[]
  readonly request: PlanRequest
}

/** Whether any area of a request has a rate of its own. */
export const hasOwnRates = ({ areas }: PlanRequest): boolean =>
  areas.some(({ rates }) => rates !== undefined && rates.length > 0)

/**
 * The areas of one application by the rates they take, in the order in which each rate first stands; one load
 * or charge is never shared between rates, for everything in it has one strength.
 */
export function rateGroups({ areas, products, method }: PlanRequest): readonly RateRequest[] {
  const groups = new Map<string, PlanArea[]>()
  for (const area of areas) {
    const key = products
      .map(({ id, rate }) => `${rateKey(rateOn(area, id, rate))} ${limitKey(area, id)}`)
      .join(', ')
    const group = groups.get(key)
    if (group) group.push(area)
    else groups.set(key, [area])
  }
  return [...groups.values()].map((own): RateRequest => {
    const [first] = own
    return {
      areas: own,
      request: {
        areas: own.map(({ rates: _, ...area }) => area),
        products: products.map((product) => ({ ...product, ...(first && ownRate(first, product.id)) })),
        method,
      },
    }
  })
}

/** The rate of a product on one area: the area's own, else the product's. */
const rateOn = ({ rates }: Pick<PlanArea, 'rates'>, productId: string, usual: Rate): Rate =>
  rates?.find(({ id }) => id === productId)?.rate ?? usual

const ownRate = ({ rates }: Pick<PlanArea, 'rates'>, productId: string) => {
  const own = rates?.find(({ id }) => id === productId)
  return own && { rate: own.rate, ...(own.limits && { limits: own.limits }) }
}

const limitKey = ({ rates }: Pick<PlanArea, 'rates'>, productId: string) =>
  JSON.stringify(rates?.find(({ id }) => id === productId)?.limits ?? '')

const rateKey = ({ value, unit }: Rate) => `${value * rateUnitParts(unit).factor} ${rateUnitParts(unit).per}`

/**
 * An own rate belongs to a product of the request and counts what that product's rate counts: mass or volume,
 * on the ground or in the spray.
 */
export function ownRateProblems({ areas, products }: PlanRequest): readonly PlanIssue[] {
  return areas.flatMap(({ rates = [] }, i) =>
    rates.flatMap(({ id, rate }, k): PlanIssue[] => {
      const path = `areas.${i}.rates.${k}`
      const product = products.find((one) => one.id === id)
      if (!product)
        return [
          { code: 'invalid', path: `${path}.id`, message: `No product of this request has the id ${id}.` },
        ]
      if (rates.findIndex((other) => other.id === id) !== k)
        return [
          {
            code: 'invalid',
            path: `${path}.id`,
            message: `The rate of ${id} stands twice on this area; it has one.`,
          },
        ]
      const [own, usual] = [rateUnitParts(rate.unit), rateUnitParts(product.rate.unit)]
      return own.dimension === usual.dimension && own.per === usual.per
        ? []
        : [
            {
              code: 'invalid',
              path: `${path}.rate.unit`,
              message:
                `This area's own rate must be told like the product's, ${product.rate.unit}: ` +
                `${usual.dimension === 'mass' ? 'a weight' : 'a volume'} ` +
                `${usual.per === 'area' ? 'on the ground' : 'in the spray'}.`,
            },
          ]
    }),
  )
}
