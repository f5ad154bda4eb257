import { readPositive, type Entered } from '../quantity/entered'
import { SECONDS_PER, type TimeUnit } from '../quantity/units'
import type { FrozenLabel } from './runEvent'

/** When people may go back, by the longest wait of all labels; undefined where they only say once dry. */
export function reentryEnds(labels: readonly FrozenLabel[], finishedAt: string): string | undefined {
  const hours = Math.max(0, ...labels.map(({ reentryHours }) => reentryHours ?? 0))
  return hours > 0 ? new Date(Date.parse(finishedAt) + hours * SECONDS_PER.h * 1000).toISOString() : undefined
}

/** The longest of several waits as their labels print it; undefined where none prints one. */
export function longestReentry(
  waits: readonly (Entered<TimeUnit> | undefined)[],
): Entered<TimeUnit> | undefined {
  const read = waits.flatMap((entered) => {
    const wait = entered && readPositive(entered, 'time', 'Re-entry')
    return entered && wait?.ok ? [{ entered, seconds: wait.value.value * SECONDS_PER[wait.value.unit] }] : []
  })
  return read.toSorted((a, b) => b.seconds - a.seconds)[0]?.entered
}
