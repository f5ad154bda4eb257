import { quantity, type Quantity } from '../../quantity/quantity'
import { SYSTEM_UNITS, type UnitSystem } from '../../quantity/systems'
import { METRES_PER_SECOND_PER, type SpeedUnit } from '../../quantity/units'

/** A pace as somebody can keep it, to two digits in the crew's unit. @param pace m/s */
export function paceAsSet(pace: number, units: UnitSystem): Quantity<SpeedUnit> {
  const { speed } = SYSTEM_UNITS[units]
  return quantity(Number((pace / METRES_PER_SECOND_PER[speed]).toPrecision(2)), speed)
}
