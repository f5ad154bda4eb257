import type { JobState } from '#core/job/chain'

/** The mark beside the word of each state of a job. */
export const JOB_MARKS = {
  draft: 'open',
  planned: 'set',
  running: 'running',
  done: 'good',
  cancelled: 'off',
} as const satisfies Record<JobState, string>

export const METHOD_ICONS = { spread: 'i-lucide-wheat', spray: 'i-lucide-droplets' } as const
