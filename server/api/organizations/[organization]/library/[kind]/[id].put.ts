import { readBodyAs, readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { libraryKindOf } from '../../../../../http/libraryOf'
import { todayFor } from '../../../../../services/clock'

export default defineEventHandler(async (event) => {
  const rows = libraryKindOf(event)
  const id = readId(event)
  return rows.save(
    repositoriesOf(event),
    id,
    await readBodyAs(event, rows.schema),
    todayFor(organizationOf(event)),
  )
})
