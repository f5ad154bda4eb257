import { SignInSchema, type Person } from '#shared/schemas/people'
import { currentDatabase } from '../../database/current'
import { HASHING } from '../../http/hashing'
import { beginSession } from '../../http/personOf'
import { readBodyAs } from '../../http/readBody'
import { signIn } from '../../services/people'

export default defineEventHandler(async (event): Promise<Person> => {
  const person = await signIn(currentDatabase().database, HASHING, await readBodyAs(event, SignInSchema))
  await beginSession(event, person.id)
  return person
})
