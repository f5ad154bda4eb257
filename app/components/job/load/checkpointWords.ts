import type { Checkpoint } from '#core/plan/checkpoints'

/** Where on the way a checkpoint stands. */
export function checkpointWords({ at, lawn }: Checkpoint): string {
  switch (at) {
    case 'half':
      return 'halfway'
    case 'lawn':
      return `after ${lawn}`
    case 'end':
      return 'when it is done'
    default:
      return at satisfies never
  }
}
