import type { H3Event } from 'h3'
import * as v from 'valibot'
import type { ErrorIssue } from '#shared/errorCodes'
import { Uuid } from '#core/shape/texts'
import { failure } from './failure'
import { readJson } from './readJson'

/**
 * Reads, parses and types a JSON body; what the schema refuses is answered 400 with the path of each field.
 */
export async function readBodyAs<S extends v.GenericSchema>(
  event: H3Event,
  schema: S,
): Promise<v.InferOutput<S>> {
  return typedAs(schema, await readJson(event))
}

/** What a schema makes of a body. Fails with `invalid` and the path of each field. */
export function typedAs<S extends v.GenericSchema>(schema: S, body: unknown): v.InferOutput<S> {
  const parsed = v.safeParse(schema, body)
  if (parsed.success) return parsed.output
  throw failure('invalid', parsed.issues.map(issueOf))
}

/** Where a schema has no words of its own: what was sent is not echoed back. */
v.setGlobalMessage(({ expected, received }) =>
  expected === 'never'
    ? 'is not a field of this request'
    : received === 'undefined'
      ? 'is missing'
      : `must be ${expected ?? 'right'}`,
)

const issueOf = (issue: v.BaseIssue<unknown>): ErrorIssue => ({
  path: v.getDotPath(issue) ?? '',
  message: issue.message,
})

/** An id in the address: a UUID or the thing does not exist. */
export function readId(event: H3Event): string {
  const id = event.context.params?.id ?? ''
  if (!v.is(Uuid, id)) throw failure('not-found', 'There is nothing at this address.')
  return id.toLowerCase()
}
