import type { Metres, MetresPerSecond } from '../quantity/quantity'
import type { CourseErrors } from './calibrationError'
import type { Repeats } from '../quantity/repeats'

/** What a calibration comes to: ground rate of one pass (kg or m3 on each m2), and how it was carried. */
export interface MeasuredCourse {
  readonly measured: Repeats
  readonly width: Metres
  /** Undefined where no speed was timed; then it is never corrected for speed. */
  readonly speed: MetresPerSecond | undefined
  readonly errors: CourseErrors
}
