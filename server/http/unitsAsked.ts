import type { H3Event } from 'h3'
import { UNIT_SYSTEMS, type UnitSystem } from '#core/quantity/systems'

/** The units an answer is to be read in; undefined: the crew's. */
export function unitsAsked(event: H3Event): UnitSystem | undefined {
  const asked = getQuery(event).units
  return UNIT_SYSTEMS.find((one) => one === asked)
}
