import { UNIT_SYSTEMS } from '#core/quantity/systems'
import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { seasonOf } from '../../../../../services/areaSeason'

/** Its sentences come in the units asked for, else in the crew's. */
export default defineEventHandler((event) => {
  const asked = getQuery(event).units
  const units = UNIT_SYSTEMS.find((one) => one === asked)
  return seasonOf(repositoriesOf(event), organizationOf(event), readId(event), units)
})
