import type { ErrorBody, ErrorCode, ErrorIssue } from '#shared/errorCodes'

interface FetchFailure {
  readonly data?: ErrorBody & { readonly current?: unknown }
  readonly status?: number
}

/** The code of an answer of ours; undefined when no answer came at all. */
export const errorCode = (error: unknown): ErrorCode | undefined => (error as FetchFailure).data?.error?.code

/** What the server sent beside a refusal: the row that is stored now. */
export const errorCurrent = (error: unknown): unknown => (error as FetchFailure).data?.current

/** A failure in words: the server's own, or that it could not be reached. */
export function errorText(error: unknown): string {
  const issue = (error as FetchFailure).data?.error?.issues[0]
  if (issue) return issue.path === '' ? issue.message : `${issue.path}: ${issue.message}`
  return 'The server does not answer.'
}

/** What is wrong, field by field. */
export const errorIssues = (error: unknown): readonly ErrorIssue[] =>
  (error as FetchFailure).data?.error?.issues ?? []
