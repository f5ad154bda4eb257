/**
 * Why a public compute route can't answer what was well formed: no such figure, too little, or a
 * contradiction.
 */
type ComputeIssueCode = 'impossible' | 'crosses-itself' | 'too-complex' | 'not-enough' | 'contradicts'

export interface ComputeIssue {
  readonly code: ComputeIssueCode
  /** Where in the request, dotted; empty for the whole. */
  readonly path: string
  /** What is wrong and what would be right. */
  readonly message: string
  /** For geometry: the place, in the request's own coordinates. */
  readonly at?: readonly [number, number]
}
