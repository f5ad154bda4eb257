import type { Organization } from '#shared/schemas/organization'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'

/** A crew as a file: a head, then a line of JSON for each row, pictures in hexadecimal; then how many. */
export async function* wholeCrewLines(
  { wholeCrew }: Repositories,
  { name }: Organization,
): AsyncGenerator<string> {
  yield line({ format: 'crew', schema: 1, name })
  let count = 0
  for await (const { table, row } of wholeCrew.rows()) {
    count += 1
    yield line({ table, row })
  }
  // Without its last line the file is not whole.
  yield line({ rows: count })
}

const line = (content: object): string => `${JSON.stringify(content)}\n`

/** Deletes a crew for good, once its name is repeated. Fails with `locked` for the sample. */
export async function deleteCrew(
  repositories: Repositories,
  { name, kind }: Organization,
  repeated: string,
): Promise<void> {
  if (kind !== 'own') throw failure('locked', 'The sample can’t be deleted: open it afresh instead.')
  if (repeated.trim() !== name.trim())
    throw failure('invalid', [{ path: 'name', message: `Repeat the name of the crew to delete it: ${name}` }])
  await repositories.transaction(({ wholeCrew }) => wholeCrew.remove())
}
