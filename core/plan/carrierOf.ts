import type { Carrier } from '../label/dose'
import { amountFactor } from '../quantity/quantity'
import { splitAreaRate } from '../quantity/rateUnit'
import { SQUARE_METRES_PER } from '../quantity/units'
import type { PlanRequest } from './planRequest'

/** The finished spray on each m2 that a method carries; undefined for a dry one. */
export function carrierOf(method: PlanRequest['method']): Carrier | undefined {
  if (method.kind !== 'spray') return undefined
  const { amount, area } = splitAreaRate(method.carrier.unit)
  return {
    perArea: (method.carrier.value * amountFactor(amount)) / SQUARE_METRES_PER[area],
    unit: amount as Carrier['unit'],
  }
}
