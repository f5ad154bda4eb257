import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { unitsAsked } from '../../../../http/unitsAsked'
import { seasonBoard } from '../../../../services/season/seasonBoard'

/** Every lawn with what opens, closes or is late. */
export default defineEventHandler((event) =>
  seasonBoard(repositoriesOf(event), organizationOf(event), unitsAsked(event)),
)
