import * as v from 'valibot'
import { TRUST_CODES } from '#core/calibration/calibrateRuns'
import { Day } from '#core/shape/texts'
import {
  Area,
  Figure,
  figureIn,
  Length,
  listOf,
  Mass,
  MassLeft,
  Speed,
  Time,
  Volume,
  VolumeLeft,
  Whole,
  WorkingSchema,
} from './wire'

const MOST_RUNS = 50
const MOST_CATCHES = 200

const runs = <const E extends v.ObjectEntries>(entries: E) => listOf(v.strictObject(entries), 1, MOST_RUNS)
const speed = {
  speed: v.optional(Speed),
  timed: v.optional(v.strictObject({ length: Length, times: listOf(Time, 1, MOST_RUNS) })),
}
const days = { on: v.optional(Day), today: v.optional(Day) }
const spreader = {
  kind: v.literal('spreader'),
  width: Length,
  setting: v.optional(Figure),
  ...speed,
  passes: v.optional(v.pipe(Whole, v.minValue(1, 'must be 1 to 20'), v.maxValue(20, 'must be 1 to 20')), 1),
  scaleStep: v.optional(Mass),
  ...days,
}
const sprayer = { kind: v.literal('sprayer'), ...speed, scaleStep: v.optional(Volume), ...days }

const Spreader = v.variant('method', [
  v.strictObject({
    ...spreader,
    method: v.literal('known area'),
    length: Length,
    runs: runs({ start: Mass, left: MassLeft }),
  }),
  v.strictObject({ ...spreader, method: v.literal('catch'), length: Length, runs: runs({ caught: Mass }) }),
  v.strictObject({
    ...spreader,
    method: v.literal('timed catch'),
    length: v.optional(Length),
    runs: runs({ caught: Mass, time: Time }),
  }),
])
const Sprayer = v.variant('method', [
  v.strictObject({
    ...sprayer,
    method: v.literal('refill'),
    length: Length,
    width: Length,
    runs: runs({ used: Volume }),
  }),
  v.strictObject({
    ...sprayer,
    method: v.literal('drain'),
    length: Length,
    width: Length,
    runs: runs({ start: Volume, left: VolumeLeft }),
  }),
  v.strictObject({
    ...sprayer,
    method: v.literal('nozzle catch'),
    spacing: Length,
    time: Time,
    catches: listOf(VolumeLeft, 1, MOST_CATCHES),
  }),
  v.strictObject({
    ...sprayer,
    method: v.literal('1/128 acre'),
    spacing: Length,
    runs: runs({ used: Volume }),
  }),
  v.strictObject({
    ...sprayer,
    method: v.literal('one nozzle'),
    length: Length,
    width: Length,
    runs: runs({ time: Time, used: Volume }),
  }),
  v.strictObject({
    ...sprayer,
    method: v.literal('hose-end'),
    covered: v.strictObject({ ground: Area, time: Time }),
    runs: runs({ used: Volume, time: Time }),
  }),
])

/** The request of POST /api/calibrate. */
export const CalibrateRequestSchema = v.pipe(
  v.variant('kind', [Spreader, Sprayer], 'kind must be spreader or sprayer'),
  v.forward(
    v.check(
      ({ speed: typed, timed }) => !typed || !timed,
      'stands beside `timed`: a speed is typed or timed',
    ),
    ['speed'],
  ),
)
export type CalibrateRequest = v.InferOutput<typeof CalibrateRequestSchema>

const shared = {
  spread: v.nullable(v.number()),
  band: v.nullable(v.number()),
  speed: v.nullable(figureIn('m/s')),
  trust: v.array(v.strictObject({ code: v.picklist(TRUST_CODES), good: v.boolean() })),
  working: WorkingSchema,
}

/** The answer, for the API's description. */
export const CalibrateAnswerSchema = v.union([
  v.strictObject({ perPass: v.nullable(figureIn('kg/m2')), flow: v.nullable(figureIn('kg/s')), ...shared }),
  v.strictObject({
    carrier: v.nullable(figureIn('L/m2')),
    flow: v.nullable(figureIn('L/s')),
    ...shared,
    courseLength: v.optional(figureIn('m')),
    drawn: v.optional(figureIn('L/m2')),
  }),
])
export type CalibrateAnswer = v.InferOutput<typeof CalibrateAnswerSchema>
