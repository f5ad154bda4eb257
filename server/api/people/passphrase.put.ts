import { ChangePassphraseSchema } from '#shared/schemas/people'
import { currentDatabase } from '../../database/current'
import { HASHING } from '../../http/hashing'
import { selfOf } from '../../http/personOf'
import { readBodyAs } from '../../http/readBody'
import { changePassphrase } from '../../services/people'

export default defineEventHandler(async (event) => {
  const { id } = selfOf(event)
  const { sessionId } = event.context
  const input = await readBodyAs(event, ChangePassphraseSchema)
  await changePassphrase(currentDatabase().database, HASHING, { id, sessionId }, input)
  return { changed: true }
})
