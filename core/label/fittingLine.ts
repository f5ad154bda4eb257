import type { GrassName } from '../ground/grasses'
import type { TurfState } from '../ground/turfStates'
import type { ApplicationMethod } from './productDocument'
import type { RateLine } from './productShape'

/** What a job knows when it takes a rate off a label. */
export interface LineWanted {
  readonly method: Exclude<ApplicationMethod, '' | 'by hand'>
  /** Grasses of the lawns that are treated. */
  readonly grasses: readonly GrassName[]
  readonly turf: TurfState
}

/**
 * The line of a label that fits a job: by way of applying, then grass, then growth state; what a line leaves
 * open fits all.
 * @returns the first of those that fit best; undefined for a label without lines
 * Source: trade.md 5, rate lines by application method, grass and growth state.
 */
export function fittingLine(
  lines: readonly RateLine[],
  { method, grasses, turf }: LineWanted,
): RateLine | undefined {
  const fit = (line: RateLine) => {
    const byMethod = keyed(line.method ?? '', '', line.method === method)
    const byGrass = keyed(
      line.grasses?.length ?? 0,
      0,
      grasses.length > 0 && grasses.every((grass) => line.grasses?.includes(grass)),
    )
    const byTurf = keyed(line.growth ?? '', '', line.growth === turf)
    return byMethod * 100 + byGrass * 10 + byTurf
  }
  return lines.toSorted((a, b) => fit(b) - fit(a))[0]
}

/** Printed for this: 2; left open: 1; printed for something else: 0. */
const keyed = <T>(printed: T, open: T, fits: boolean): number => (printed === open ? 1 : fits ? 2 : 0)
