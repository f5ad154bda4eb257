import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { unitsAsked } from '../../../../../http/unitsAsked'
import { seasonOf } from '../../../../../services/season/areaSeason'

/** Its sentences come in the units asked for, else in the crew's. */
export default defineEventHandler((event) =>
  seasonOf(repositoriesOf(event), organizationOf(event), readId(event), unitsAsked(event)),
)
