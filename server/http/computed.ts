import type { Result } from '#core/result'
import type { ErrorCode, ErrorIssue } from '#shared/errorCodes'
import { failure } from './failure'

/** What core answers to whoever asks from outside: figures, or why there are none. */
export type Computed<Answer> = Result<Answer, readonly (ErrorIssue & { readonly code: ErrorCode })[]>

/** The answer of the core, or its reasons as a failure. */
export function answered<Answer>(result: Computed<Answer>): Answer {
  if (result.ok) return result.value
  throw failure(
    result.error[0]?.code ?? 'impossible',
    result.error.map(({ path, message, at }) => ({ path, message, ...(at && { at }) })),
  )
}
