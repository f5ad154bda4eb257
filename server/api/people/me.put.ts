import { SavePersonSchema, type Person } from '#shared/schemas/people'
import { currentDatabase } from '../../database/current'
import { failure } from '../../http/failure'
import { selfOf } from '../../http/personOf'
import { readBodyAs } from '../../http/readBody'
import { peopleRepository } from '../../repositories/people'

/** Own name and licence. */
export default defineEventHandler(async (event): Promise<Person> => {
  const { id } = selfOf(event)
  const people = peopleRepository(currentDatabase().database)
  const written = await people.update(id, await readBodyAs(event, SavePersonSchema))
  const stored = await people.find(id)
  if (!written || !stored)
    throw failure('changed-elsewhere', 'This was changed elsewhere since you opened it.', stored)
  return stored
})
