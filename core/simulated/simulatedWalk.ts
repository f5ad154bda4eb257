import { drawsFrom, normal } from '../quantity/draws'
import { toEarth, type Anchor } from '../ground/geodesy'
import { radius95, type Fix } from '../ground/walkTrack'
import { distance, type Point, type Ring } from '../ground/plane'

/**
 * Usual of a phone under open sky: spread of a position along each axis, m, and how long an error lasts, s.
 */
const POSITION_SD = 1.6
const ERROR_LASTS_S = 25
/** Spread of what is new from one second to the next, m. */
const JITTER_SD = 0.15

/**
 * A walk around an outline as a phone would tell it: a position a second, with an error that wanders (each
 * second's is most of the one before) and jitters.
 * @param speed m/s; @param seed the same seed gives the same walk
 * Source: first-order Gauss-Markov process, the usual model of uncorrected satellite positions over minutes.
 */
export function simulatedWalk(ring: Ring, anchor: Anchor, speed: number, seed: number): readonly Fix[] {
  const draw = drawsFrom(seed)
  const keep = Math.exp(-1 / ERROR_LASTS_S)
  const fresh = POSITION_SD * Math.sqrt(1 - keep * keep)
  let error: Point = [normal(draw, POSITION_SD), normal(draw, POSITION_SD)]
  return alongRing(ring, speed).map(([x, y], at): Fix => {
    error = [error[0] * keep + normal(draw, fresh), error[1] * keep + normal(draw, fresh)]
    const place = toEarth(
      [x + error[0] + normal(draw, JITTER_SD), y + error[1] + normal(draw, JITTER_SD)],
      anchor,
    )
    return { place, accuracy: radius95(POSITION_SD), at }
  })
}

/** Where a walker is each second, all the way round. */
function alongRing(ring: Ring, speed: number): readonly Point[] {
  const points: Point[] = []
  let ahead = 0
  ring.forEach((from, i) => {
    const to = ring[(i + 1) % ring.length]!
    const length = distance(from, to)
    for (; ahead < length; ahead += speed)
      points.push([
        from[0] + ((to[0] - from[0]) * ahead) / length,
        from[1] + ((to[1] - from[1]) * ahead) / length,
      ])
    ahead -= length
  })
  return points
}

/** A lawn nobody owns, for trying the walk where nothing is drawn yet: 38 by 27 m with a bay, m. */
export const TRIAL_LAWN: Ring = [
  [0, 0],
  [38, 0],
  [38, 17],
  [29, 21],
  [29, 27],
  [0, 27],
]
