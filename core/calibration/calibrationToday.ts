import type { MetresPerSecond } from '../quantity/quantity'
import type { AtSpeed } from './anotherSpeed'
import type { MeasuredCourse } from './measuredCourse'

/**
 * What a calibration comes to on the day of the work: ground rate of one pass, at its own speed and at
 * today's.
 */
export interface CalibrationToday extends MeasuredCourse {
  /** Kg (spreader) or m3 (sprayer) on each m2 in one pass at today's speed. */
  readonly perPass: number
  readonly pace: AtSpeed['trust']
  readonly speedToday: MetresPerSecond | undefined
  readonly on: string
}
