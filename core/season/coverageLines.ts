import { dayNumber, dayOfNumber } from '../calendar/dayNumber'

/** Something laid that lasts: a barrier, a fungicide, a regulator, a feed. */
export interface LastingApplication {
  /** YYYY-MM-DD */
  readonly on: string
  /** What it protects against or feeds; those of one name follow each other. */
  readonly what: string
  /** Last day it lasts to, the earliest of what is known: label days, heat units; undefined: not known. */
  readonly to: string | undefined
}

/** How long one application lasts, and how long nothing follows it. */
export interface CoverageLine {
  readonly from: string
  readonly to: string | undefined
  readonly what: string
  /** The day a gap behind it ends: the next application's, or today while it is still open. */
  readonly gapTo: string | undefined
  /** Days it still lasted when the next went down; below zero is a gap. */
  readonly overlapDays: number | undefined
}

/**
 * Protection and feed of one area as lines, in order of their days.
 * @param today YYYY-MM-DD; a gap that is still open runs to it
 */
export function coverageLines(
  applications: readonly LastingApplication[],
  today: string,
): readonly CoverageLine[] {
  const inOrder = applications.toSorted((a, b) => a.on.localeCompare(b.on))
  return inOrder.map(({ on, what, to }, i) => {
    const next = inOrder.slice(i + 1).find((other) => other.what === what)
    const until = next?.on ?? today
    return {
      from: on,
      to,
      what,
      gapTo: to !== undefined && until > dayAfter(to) ? until : undefined,
      overlapDays: to !== undefined && next ? dayNumber(to) - dayNumber(next.on) : undefined,
    }
  })
}

/** Lines behind which nothing follows until today. @param today YYYY-MM-DD */
export const openGaps = <L extends CoverageLine>(lines: readonly L[], today: string): readonly L[] =>
  lines.filter(({ gapTo }) => gapTo === today)

/** Protection that ends today is followed without a gap tomorrow. */
const dayAfter = (day: string): string => dayOfNumber(dayNumber(day) + 1)
