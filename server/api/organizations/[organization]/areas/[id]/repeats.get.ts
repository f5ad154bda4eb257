import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { unitsAsked } from '../../../../../http/unitsAsked'
import { repeatsAt } from '../../../../../services/season/programs'

/** What would close the gap behind what was laid on an area on a day. */
export default defineEventHandler((event) => {
  const { what = '', from = '' } = getQuery(event)
  return repeatsAt(
    repositoriesOf(event),
    organizationOf(event),
    readId(event),
    String(what),
    String(from),
    unitsAsked(event) ?? organizationOf(event).units,
  )
})
