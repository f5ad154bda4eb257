import { rateUnitParts } from '../quantity/rateUnit'
import type { Rate } from '../label/label'
import type { PlanIssue } from './planIssue'
import type { AskedArea, PlanQuestion } from './planQuestion'
import type { AreaRate, PlanArea, PlanProduct, PlanRequest } from './planRequest'

/** Areas of one application that take the same rates, and the products at those rates. */
export interface AskedGroup {
  readonly areas: readonly AskedArea[]
  readonly products: readonly PlanProduct[]
}

/** Whether any area of a request has a rate of its own. */
export const hasOwnRates = ({ areas }: Pick<PlanRequest, 'areas'>): boolean =>
  areas.some(({ rates = [] }) => rates.length > 0)

/** Whether areas are planned by their rates, each group for itself. */
export const isByRates = ({ areas }: Pick<PlanQuestion, 'areas'>): boolean =>
  areas.some(({ entered: { rates = [] } }) => rates.length > 0)

/**
 * The areas of one application by the rates they take, in the order in which each rate first stands; one load
 * or charge is never shared between rates, for everything in it has one strength. One group where no area has
 * a rate of its own.
 */
export function rateGroups(question: PlanQuestion): readonly AskedGroup[] {
  const { areas, products } = question
  if (!isByRates(question)) return [{ areas, products }]
  const groups = new Map<string, { areas: AskedArea[]; products: readonly PlanProduct[] }>()
  for (const area of areas) {
    const own = products.map((product) => ({ product, at: ownRate(area.entered, product.id) }))
    const key = own
      .map(({ product, at }) => `${rateKey(at?.rate ?? product.rate)} ${JSON.stringify(at?.limits ?? '')}`)
      .join(', ')
    const group = groups.get(key)
    if (group) group.areas.push(area)
    else groups.set(key, { areas: [area], products: own.map(atOwnRate) })
  }
  return [...groups.values()]
}

const ownRate = ({ rates }: PlanArea, productId: string): AreaRate | undefined =>
  rates?.find(({ id }) => id === productId)

const atOwnRate = ({ product, at }: { product: PlanProduct; at: AreaRate | undefined }): PlanProduct =>
  at ? { ...product, rate: at.rate, ...(at.limits && { limits: at.limits }) } : product

const rateKey = ({ value, unit }: Rate) => `${value * rateUnitParts(unit).factor} ${rateUnitParts(unit).per}`

/**
 * An own rate belongs to a product of the question and counts what that product's rate counts: mass or
 * volume, on the ground or in the spray.
 */
export function ownRateProblems({ areas, products }: PlanQuestion): readonly PlanIssue[] {
  return areas.flatMap(({ entered: { rates = [] } }, area) =>
    rates.flatMap(({ id, rate: { unit } }, rate): PlanIssue[] => {
      const product = products.find((one) => one.id === id)
      const issue = (field: string, message: string): PlanIssue[] => [
        { code: 'invalid', place: { area, rate, field }, message },
      ]
      if (!product) return issue('id', `No product of this request has the id ${id}.`)
      if (rates.findIndex((other) => other.id === id) !== rate)
        return issue('id', `The rate of ${id} stands twice on this area; it has one.`)
      const [own, usual] = [rateUnitParts(unit), rateUnitParts(product.rate.unit)]
      return own.dimension === usual.dimension && own.per === usual.per
        ? []
        : issue(
            'rate.unit',
            `This area's own rate must be told like the product's, ${product.rate.unit}: ` +
              `${usual.dimension === 'mass' ? 'a weight' : 'a volume'} ` +
              `${usual.per === 'area' ? 'on the ground' : 'in the spray'}.`,
          )
    }),
  )
}
