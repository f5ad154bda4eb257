import type { LabelNeed } from '../label/label'

/** Why a request cannot be planned; `invalid` is the sender's mistake, the others name what is missing. */
type PlanIssueCode = 'invalid' | LabelNeed | 'too-many-loads'

export interface PlanIssue {
  readonly code: PlanIssueCode
  /** Where in the request, dotted; empty for the whole. */
  readonly path: string
  /** What is wrong and what would be right. */
  readonly message: string
}
