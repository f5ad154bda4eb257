/** Every code an answer of ours can carry; the message beside it says what would be right. */
export const ERROR_CODES = [
  'invalid',
  'too-large',
  'needs-analysis',
  'needs-active',
  'needs-carrier',
  'needs-density',
  'too-many-loads',
  'impossible',
  'crosses-itself',
  'too-complex',
  'not-enough',
  'contradicts',
  'not-found',
  'changed-elsewhere',
  'not-ready',
  'not-anchored',
  'locked',
  'taken',
  'sign-in',
  'not-allowed',
  'wait',
  'foreign-origin',
  'media-type',
  'starting',
  'database-down',
  'unexpected',
] as const
export type ErrorCode = (typeof ERROR_CODES)[number]

export interface ErrorIssue {
  readonly path: string
  readonly message: string
  /** For geometry: the place, in the request's own coordinates. */
  readonly at?: readonly [number, number]
}

/** The one form of every error answer. */
export interface ErrorBody {
  readonly error: { readonly code: ErrorCode; readonly issues: readonly ErrorIssue[] }
}

/** No answer lists more than this many issues. */
export const MOST_ISSUES = 50
