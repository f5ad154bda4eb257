import { plural } from '../quantity/counting'
import { formatFigure } from '../quantity/format'
import { SQUARE_METRES_PER } from '../quantity/units'
import { err, ok, type Result } from '../result'
import { crossings } from './crossings'
import { distance, ringArea, type Point, type Ring } from './plane'

/**
 * Why a ring of corners is no piece of ground: it crosses itself (at a place), or all its corners lie on one
 * line.
 */
export interface EnclosedError {
  readonly kind: 'crossesItself' | 'noGround'
  readonly message: string
  readonly at: Point | undefined
}

/** Less than this is a line, not ground, m2. */
const LEAST_GROUND_M2 = SQUARE_METRES_PER.ft2 / 100

/** Area inside a ring, m2; refused where it crosses itself or encloses nothing. Source: shoelace formula. */
export function enclosedArea(ring: Ring): Result<number, EnclosedError> {
  const crossed = crossings(ring)
  const [first] = crossed
  if (first) {
    const others = crossed.length - 1
    const more = others > 0 ? `, and in ${others} more ${plural(others, 'place')}` : ''
    return err({
      kind: 'crossesItself',
      at: first.at,
      message:
        `The outline crosses itself between side ${first.sides[0] + 1} and side ${first.sides[1] + 1}, ` +
        `${formatFigure(first.at[0])} m east and ${formatFigure(first.at[1])} m north${more}: ` +
        'move or remove a corner there.',
    })
  }
  const flat = ringArea(ring)
  return flat < LEAST_GROUND_M2
    ? err({
        kind: 'noGround',
        at: ring[0],
        message: 'The corners enclose no ground: they lie on one line.',
      })
    : ok(flat)
}

/**
 * Variance of the area of a ring whose corners are each off by sd along both axes, independently, m4.
 * Source: derivatives of the shoelace formula.
 */
export function cornerVariance(ring: Ring, sd: number): number {
  const squares = ring.reduce(
    (sum, _, i) =>
      sum + distance(ring[(i + ring.length - 1) % ring.length]!, ring[(i + 1) % ring.length]!) ** 2,
    0,
  )
  return (sd * sd * squares) / 4
}
