import { createError, type H3Error } from 'h3'
import { MOST_ISSUES, type ErrorBody, type ErrorCode, type ErrorIssue } from '#shared/errorCodes'

const STATUS: Readonly<Record<ErrorCode, number>> = {
  invalid: 400,
  'too-large': 413,
  'needs-analysis': 422,
  'needs-active': 422,
  'needs-carrier': 422,
  'needs-density': 422,
  'too-many-loads': 422,
  impossible: 422,
  'crosses-itself': 422,
  'too-complex': 422,
  'not-enough': 422,
  contradicts: 422,
  'not-found': 404,
  'changed-elsewhere': 409,
  'not-ready': 422,
  'not-anchored': 422,
  locked: 409,
  taken: 409,
  'sign-in': 401,
  'not-allowed': 403,
  wait: 429,
  'foreign-origin': 403,
  'media-type': 415,
  starting: 503,
  'database-down': 503,
  unexpected: 500,
}

/** What an answer carries beside the error, such as the row that is stored now. */
export interface FailureData extends ErrorBody {
  readonly current?: unknown
}

/** The one way a route fails: a code of ours and what would be right. */
export function failure(
  code: ErrorCode,
  issues: readonly ErrorIssue[] | string,
  current?: unknown,
): H3Error<FailureData> {
  const list = typeof issues === 'string' ? [{ path: '', message: issues }] : issues.slice(0, MOST_ISSUES)
  return createError({
    statusCode: STATUS[code],
    data: { error: { code, issues: list }, ...(current === undefined ? {} : { current }) },
  })
}
