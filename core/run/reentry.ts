import { SECONDS_PER } from '../quantity/units'
import type { FrozenLabel } from './runEvent'

/** When people may go back, by the longest wait of all labels; undefined where they only say once dry. */
export function reentryEnds(labels: readonly FrozenLabel[], finishedAt: string): string | undefined {
  const hours = Math.max(0, ...labels.map(({ reentryHours }) => reentryHours ?? 0))
  return hours > 0 ? new Date(Date.parse(finishedAt) + hours * SECONDS_PER.h * 1000).toISOString() : undefined
}
