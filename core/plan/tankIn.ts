import { amountFactor, quantity, type Quantity } from '../quantity/quantity'
import type { VolumeUnit } from '../quantity/units'
import type { PlanRequest } from './planRequest'

/** What the tank holds, in the unit its loads are told in; undefined for dry work. */
export const tankIn = ({ method }: PlanRequest, unit: VolumeUnit): Quantity<VolumeUnit> | undefined =>
  method.kind === 'spray'
    ? quantity((method.tank.value * amountFactor(method.tank.unit)) / amountFactor(unit), unit)
    : undefined
