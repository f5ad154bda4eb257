import * as v from 'valibot'
import {
  AREA_UNITS,
  LENGTH_UNITS,
  MASS_UNITS,
  PRESSURE_UNITS,
  SPEED_UNITS,
  STOPWATCH_UNITS,
  VOLUME_UNITS,
} from '../quantity/units'
import { enteredOf } from '../shape/figures'
import { held, type Held } from '../shape/held'
import { BlankOrDay, Line, Notes, Uuid } from '../shape/texts'
import { SPRAY_METHODS, SPREAD_METHODS } from './courseNote'

const Length = enteredOf(LENGTH_UNITS)
const Mass = enteredOf(MASS_UNITS)
const Volume = enteredOf(VOLUME_UNITS)
const Stopwatch = enteredOf(STOPWATCH_UNITS)
const Ground = enteredOf(AREA_UNITS)
const MOST_RUNS = 20
const MOST_CATCHES = 60

const Times = v.pipe(v.array(Stopwatch), v.minLength(1), v.maxLength(MOST_RUNS))
const runsOf = <S extends v.GenericSchema>(run: S) =>
  v.pipe(v.array(run), v.minLength(1), v.maxLength(MOST_RUNS))

/** Speed from a taped length walked or driven more than once. */
const TimedCourseSchema = v.strictObject({ length: Length, times: Times })
export type TimedCourse = Held<typeof TimedCourseSchema>

/**
 * A calibration as written down. Notes of another method than the one chosen are kept, so that a change of
 * mind loses nothing; `by` is absent in notes made before there was a choice: known area.
 */
const course = {
  /** Day of the calibration, YYYY-MM-DD; blank until a run is typed. */
  on: BlankOrDay,
  length: Length,
  /**
   * Swath of a spreader; of a sprayer the sprayed width, or the nozzle spacing where single nozzles are
   * caught.
   */
  width: Length,
  /** Typed; a timed course goes before it. */
  speed: enteredOf(SPEED_UNITS),
  timed: v.optional(TimedCourseSchema),
}

const SpreadRunSchema = v.strictObject({
  id: Uuid,
  start: Mass,
  left: Mass,
  caught: v.optional(Mass),
  time: v.optional(Stopwatch),
})
export type SpreadRun = Held<typeof SpreadRunSchema>

export const SpreaderCourseSchema = v.strictObject({
  ...course,
  by: v.optional(v.picklist(SPREAD_METHODS)),
  setting: Line,
  product: Line,
  /** Ground of a job and the passes over it. */
  ground: v.optional(Ground),
  passes: v.optional(Line),
  /** Smallest step of the scale; blank: not said. */
  step: v.optional(Mass),
  runs: runsOf(SpreadRunSchema),
})
export type SpreaderCourse = Held<typeof SpreaderCourseSchema>

const SprayRunSchema = v.strictObject({
  id: Uuid,
  /** What refilled it, what one nozzle was caught at, or what the bottle lost. */
  used: Volume,
  start: v.optional(Volume),
  left: v.optional(Volume),
  /** What the course took, or how long the bottle was sprayed. */
  time: v.optional(Stopwatch),
})
export type SprayRun = Held<typeof SprayRunSchema>

export const SprayerCourseSchema = v.strictObject({
  ...course,
  by: v.optional(v.picklist(SPRAY_METHODS)),
  pressure: v.optional(enteredOf(PRESSURE_UNITS)),
  /** The nozzle set that was on, or the orifice of a hose-end head. */
  nozzles: v.optional(Line),
  /** A hose-end head draws each product differently; blank elsewhere: water. */
  product: v.optional(Line),
  /** How many nozzles work beside the one that was caught; blank: one. */
  count: v.optional(Line),
  /** Every nozzle caught for the same time. */
  catching: v.optional(
    v.strictObject({
      time: Stopwatch,
      catches: v.pipe(v.array(Volume), v.minLength(1), v.maxLength(MOST_CATCHES)),
    }),
  ),
  /** Ground covered in so long with a hose-end bottle. */
  covered: v.optional(v.strictObject({ ground: Ground, time: Stopwatch })),
  /** Ground of a job. */
  ground: v.optional(Ground),
  /** Smallest step of the jug or the scale; blank: not said. */
  step: v.optional(Volume),
  runs: runsOf(SprayRunSchema),
})
export type SprayerCourse = Held<typeof SprayerCourseSchema>

const remarks = {
  schema: v.literal(1),
  /** What held the speed: gear, throttle, pedal stop, pump level. */
  heldBy: Line,
  by: Line,
  notes: Notes,
}
/** A calibration of one piece of equipment. */
export const CalibrationDocumentSchema = held(
  v.variant('kind', [
    v.strictObject({ ...remarks, kind: v.literal('spread'), course: SpreaderCourseSchema }),
    v.strictObject({ ...remarks, kind: v.literal('spray'), course: SprayerCourseSchema }),
  ]),
)
export type CalibrationDocument = v.InferOutput<typeof CalibrationDocumentSchema>
