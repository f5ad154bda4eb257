import type { CheckCode } from '#core/rules/check'

/** A stop that kept a job from being planned or run. */
export interface Refusal {
  readonly applicationId: string
  readonly code: CheckCode
  readonly message: string
  /** ISO instant. */
  readonly at: string
}

/** With the job it stopped, as far as that is still there. */
export interface RefusalRow extends Refusal {
  readonly jobId: string | null
  readonly site: string
}
