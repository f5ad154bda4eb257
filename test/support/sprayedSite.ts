import type { RouteApplication } from '../../core/job/route/commonMix'
import { planApplication } from '../../core/plan/planApplication'
import type { LoadStyle, PlanRequest } from '../../core/plan/planRequest'
import { quantity, type Quantity } from '../../core/quantity/quantity'
import type { AmountUnit } from '../../core/quantity/units'
import { lawn, part, product, spraying } from './documents'

interface Sprayed {
  readonly tank?: number
  readonly dead?: number
  readonly loads?: LoadStyle
  readonly rate?: number
  readonly shared?: '' | 'day'
  readonly measureStep?: Quantity<AmountUnit>
}

/** A site of a day that takes iron at 3.4 fl oz in 1.3 gal on 1,000 ft2; its size in ft2, tanks in gal. */
export function sprayedSite(
  index: number,
  size: number,
  { tank = 26, dead = 0, loads = 'full-then-part', rate = 3.4, shared = 'day', measureStep }: Sprayed = {},
): RouteApplication {
  const request: PlanRequest = {
    areas: [{ id: 'a', name: 'Lawn', size: quantity(size, 'ft2') }],
    products: [
      {
        id: `p${index}`,
        name: 'Iron',
        rate: quantity(rate, 'fl oz/1000 ft2'),
        ...(measureStep && { measureStep }),
      },
    ],
    method: {
      kind: 'spray',
      carrier: quantity(1.3, 'gal/1000 ft2'),
      tank: quantity(tank, 'gal'),
      loads,
      ...(dead > 0 && { dead: quantity(dead, 'gal') }),
    },
  }
  const planned = planApplication(request)
  if (!planned.ok) throw new Error(planned.error[0]?.message)
  return {
    applicationId: `application ${index}`,
    jobId: `job ${index}`,
    site: `Site ${index}`,
    document: spraying(
      [lawn('Lawn', [part('add', 'rectangle', { length: '10', width: '10' })])],
      [{ ...product('Iron', 'spray', {}), id: `p${index}` }],
      { equipment: 'Tow boom', shared },
    ),
    request,
    plan: planned.value,
    state: 'planned',
  }
}
