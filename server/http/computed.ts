import type { EventHandler } from 'h3'
import type * as v from 'valibot'
import type { ComputeIssue } from '#core/computeIssue'
import type { Result } from '#core/result'
import { failure } from './failure'
import { readBodyAs } from './readBody'

/**
 * A route that only computes: what the schema lets through is answered by the core, or refused with its
 * reasons.
 */
export const computed = <S extends v.GenericSchema, Answer>(
  schema: S,
  answer: (request: v.InferOutput<S>) => Result<Answer, readonly ComputeIssue[]>,
): EventHandler => defineEventHandler(async (event) => answered(answer(await readBodyAs(event, schema))))

/** The answer of the core, or its reasons as a failure. */
export function answered<Answer>(result: Result<Answer, readonly ComputeIssue[]>): Answer {
  if (result.ok) return result.value
  throw failure(
    result.error[0]?.code ?? 'impossible',
    result.error.map(({ path, message, at }) => ({ path, message, ...(at && { at }) })),
  )
}
