import { SECONDS_PER } from '../../quantity/units'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'

/** A zone that can water in, with what it gives in an hour, m. */
export interface WaterZone {
  readonly name: string
  readonly output: number
}

/**
 * How long each zone runs for a depth of water.
 * @param depth m
 * @returns minutes by zone, in the order given
 * Source: trade.md 9, run time per irrigation zone from its measured output.
 * @example half an inch from a zone that gives 0.6 in in an hour: 50 minutes
 */
export function zoneMinutes(
  depth: number,
  zones: readonly WaterZone[],
  book: WorkingBook = closedWorkingBook,
): readonly { readonly name: string; readonly minutes: number }[] {
  book.note('run.water', () =>
    zones.map(
      ({ name, output }) =>
        `${name}: ${sixDigits(depth * 1000)} mm / ${sixDigits(output * 1000)} mm in an hour x 60 = ` +
        `${sixDigits((depth / output) * 60)} min`,
    ),
  )
  return zones.map(({ name, output }) => ({ name, minutes: (depth / output) * 60 }))
}

/** How a treated lawn stands with the water its label asks for. */
export interface WaterStanding {
  /** `late`: the deadline is gone by and a gauge has not said that it is in. */
  readonly state: 'not asked' | 'waiting' | 'late' | 'in'
  /** Still to come, m. */
  readonly left: number
  /** ISO instant; undefined where the label names none. */
  readonly until: string | undefined
}

/** A gauge that shows so much less counts as all of it. */
const NEARLY = 0.98

/**
 * The "not yet watered in" timer: it runs until a gauge or a zone's timer has said that the depth is in; what
 * was only forecast does not count.
 * @param asked depth of the label, m, and hours within which; @param finishedAt when it went down, ISO
 * @param given depths that were confirmed, m; @param now ISO
 * Source: trade.md 9.
 */
export function waterStanding(
  asked: { readonly depth: number | undefined; readonly withinHours: number | undefined },
  finishedAt: string,
  given: readonly number[],
  now: string,
): WaterStanding {
  const { depth, withinHours } = asked
  if (depth === undefined || depth <= 0) return { state: 'not asked', left: 0, until: undefined }
  const until =
    withinHours === undefined
      ? undefined
      : new Date(Date.parse(finishedAt) + withinHours * SECONDS_PER.h * 1000).toISOString()
  const left = Math.max(0, depth - given.reduce((sum, one) => sum + one, 0))
  if (left <= depth * (1 - NEARLY)) return { state: 'in', left: 0, until }
  return { state: until !== undefined && now > until ? 'late' : 'waiting', left, until }
}
