import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'

/** Stripes as they were seen on a lawn. */
export interface StripesSeen {
  /** From one to the next, m. */
  readonly spacing: number
  /** Degrees from north; undefined: nobody looked. */
  readonly direction: number | undefined
}

/** How the lawn was gone over. */
export interface GoneOver {
  readonly method: 'spread' | 'spray'
  /** Lanes apart, m. */
  readonly width: number
  /** Of each pass, degrees from north. */
  readonly directions: readonly number[]
  /** m; undefined where it is not known, and for a spreader. */
  readonly nozzleSpacing: number | undefined
  /** One side of the pattern is known to be heavier. */
  readonly skewed: boolean
}

type StripeCause = 'throw' | 'one side' | 'nozzle' | 'boom height' | 'pace' | 'not ours'
export interface NamedCause {
  readonly cause: StripeCause
  readonly words: string
}

/** Spacings nearer than this share are the same; lanes spread evenly lie a little closer than the swath. */
const SAME_SPACING = 0.12
/** Stripes nearer than this to a pass run along it, degrees. */
const SAME_DIRECTION = 15

/**
 * What stripes most likely come from: their spacing and direction against lanes, swath and nozzles, before
 * soil or seed is blamed.
 * @param book gets the page `stripes`
 * Source: trade.md 9 (stripes have a spacing), 3 (pattern, skew), 4 (nozzles, height).
 */
export function stripeCause(
  seen: StripesSeen,
  { method, width, directions, nozzleSpacing, skewed }: GoneOver,
  book: WorkingBook = closedWorkingBook,
): NamedCause {
  const { spacing, direction } = seen
  const along = direction === undefined || directions.some((pass) => apart(pass, direction) <= SAME_DIRECTION)
  const is = (length: number) => Math.abs(spacing / length - 1) <= SAME_SPACING
  book.note('stripes', () => [
    `stripes every ${sixDigits(spacing)} m / lanes every ${sixDigits(width)} m = ` +
      sixDigits(spacing / width),
    ...(nozzleSpacing === undefined
      ? []
      : [`/ nozzles every ${sixDigits(nozzleSpacing)} m = ${sixDigits(spacing / nozzleSpacing)}`]),
    ...(direction === undefined
      ? ['which way they run was not noted']
      : directions.map(
          (pass, i) =>
            `${sixDigits(direction)}° lies ${sixDigits(apart(pass, direction))}° off pass ${i + 1}, ` +
            `${sixDigits(pass)}°`,
        )),
  ])
  if (!along)
    return {
      cause: 'not ours',
      words:
        'They run across every pass of this application: look at mowing, irrigation, seed and soil, and at ' +
        'what was put down before.',
    }
  if (is(2 * width))
    return {
      cause: 'one side',
      words:
        `Two lanes apart: one side of the ${method === 'spread' ? 'throw' : 'boom'} lays more, and every ` +
        `second lane turns it round.${skewed ? ' The last test saw that too.' : ''} ` +
        (method === 'spread' ? 'Put out trays and even the pattern.' : 'Catch every nozzle of both sides.'),
    }
  if (is(width))
    return method === 'spread'
      ? {
          cause: 'throw',
          words:
            'As far apart as the lanes: the throw does not reach the next one, or reaches past it. Put out ' +
            'trays, or lay lanes nearer and two passes at right angles.',
        }
      : {
          cause: 'nozzle',
          words:
            'As far apart as the boom is wide: one nozzle gives too much or too little, or the ends of the ' +
            'boom lap over or leave a gap. Catch every nozzle.',
        }
  if (nozzleSpacing !== undefined && is(nozzleSpacing))
    return {
      cause: 'boom height',
      words: 'As far apart as the nozzles: the boom is too low for their fans to meet. Raise it, look again.',
    }
  if (direction === undefined)
    return {
      cause: 'not ours',
      words:
        'Neither lanes nor nozzles lie so far apart. Note which way they run; then look at mowing, seed ' +
        'and soil.',
    }
  return {
    cause: 'pace',
    words:
      'Along a pass, but neither as far apart as lanes nor as nozzles: a change of pace, a late gate, or ' +
      'lanes walked off their line. Look at the ends first.',
  }
}

/** A stripe has two ends: between 0 and 90 degrees. */
function apart(one: number, other: number): number {
  const turn = (((one - other) % 180) + 180) % 180
  return Math.min(turn, 180 - turn)
}
