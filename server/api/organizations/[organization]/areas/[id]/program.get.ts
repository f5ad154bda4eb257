import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { unitsAsked } from '../../../../../http/unitsAsked'
import { areaProgramPage } from '../../../../../services/season/programs'

/** The program of an area, dated; null where it has none. */
export default defineEventHandler((event) =>
  areaProgramPage(repositoriesOf(event), organizationOf(event), readId(event), unitsAsked(event)),
)
