import * as v from 'valibot'
import { LOOK_RESULTS, MISHAPS, WATERED_FROM } from '#core/run/carried'
import { READING_WAYS } from '#core/run/corrections/reading'
import { ANSWERS, GATE_QUESTIONS, GROUNDS, LEAVES } from '#core/run/gate/gateReadings'
import { MOST_SEEN } from '#core/run/seenPlan'
import {
  AMOUNT_UNITS,
  AREA_UNITS,
  LENGTH_UNITS,
  MASS_UNITS,
  SPEED_UNITS,
  TEMPERATURE_UNITS,
  TIME_UNITS,
  VOLUME_UNITS,
} from '#core/quantity/units'
import { enteredOf, entriesOf, NotNegative, Positive, quantityOf } from '#core/shape/figures'
import { Day, Instant, Line, Uuid } from '#core/shape/texts'

const Words = v.pipe(v.string(), v.maxLength(2000, 'is too long'))
const Load = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(1000))
const StepId = v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,40}$/, 'is no step of a run'))
const SUBJECTS = [
  'wind',
  'gust',
  'air',
  'soil',
  'rainIn',
  'leaf',
  'ground',
  'mown',
  ...GATE_QUESTIONS,
] as const
const Subject = v.picklist(SUBJECTS)

const Readings = v.strictObject({
  wind: enteredOf(SPEED_UNITS),
  gust: enteredOf(SPEED_UNITS),
  air: enteredOf(TEMPERATURE_UNITS),
  soil: enteredOf(TEMPERATURE_UNITS),
  rainIn: enteredOf(TIME_UNITS),
  rained: enteredOf(LENGTH_UNITS),
  leaf: v.picklist(LEAVES),
  ground: v.picklist(GROUNDS),
  mown: enteredOf(TIME_UNITS),
  answers: v.strictObject(entriesOf(GATE_QUESTIONS, () => v.picklist(ANSWERS))),
  from: Line,
})

const Gate = v.strictObject({
  decision: v.picklist(['go', 'wait']),
  readings: Readings,
  findings: v.pipe(
    v.array(
      v.strictObject({
        subject: Subject,
        level: v.picklist(['stop', 'warn', 'note']),
        source: v.picklist(['label', 'house', 'safety']),
        message: Words,
      }),
    ),
    v.maxLength(40),
  ),
  unread: v.pipe(v.array(Subject), v.maxLength(SUBJECTS.length)),
  reason: Words,
})
const GoesForAReason = v.check(
  ({ decision, findings, reason }: v.InferOutput<typeof Gate>) =>
    decision === 'wait' || reason.trim() !== '' || !findings.some(({ level }) => level === 'stop'),
  'Going against a stop needs its reason.',
)

/** A drawn mark: the path of one SVG picture, nothing else. */
const Mark = v.pipe(
  v.string(),
  v.maxLength(40_000, 'is too long for a mark'),
  v.regex(/^[MLCQHVZmlcqhvz0-9\s.,-]*$/, 'must be the path of a picture'),
)
const Rating = v.pipe(v.number(), v.minValue(1, 'must be from 1 to 9'), v.maxValue(9, 'must be from 1 to 9'))

/** Metres on a plan; no site is wider. */
const Place = v.pipe(v.number(), v.minValue(-1e6), v.maxValue(1e6))

/** What each kind of note made during a run, and after it, carries. */
export const CARRIED_PAYLOADS = {
  gate: v.pipe(Gate, GoesForAReason),
  stepped: v.strictObject({ step: StepId, done: v.picklist(['yes', 'no']) }),
  measured: v.strictObject({ load: Load, productId: Uuid, amount: quantityOf(AMOUNT_UNITS, Positive) }),
  checked: v.strictObject({
    pass: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(100)),
    share: v.pipe(v.number(), v.gtValue(0, 'must be above zero'), v.maxValue(1, 'must be at most 1')),
    left: quantityOf(MASS_UNITS, NotNegative),
    way: v.picklist(READING_WAYS),
  }),
  covered: v.strictObject({
    load: Load,
    covered: quantityOf(AREA_UNITS, Positive),
    take: v.picklist(['mix', 'pace', 'plan']),
  }),
  tank: v.strictObject({ found: quantityOf(VOLUME_UNITS, NotNegative) }),
  set: v.strictObject({ dial: v.optional(Line), pace: v.optional(quantityOf(SPEED_UNITS, Positive)) }),
  paused: v.strictObject({ reason: Words }),
  resumed: v.strictObject({}),
  strip: v.strictObject({
    id: Uuid,
    name: Line,
    size: quantityOf(AREA_UNITS, Positive),
    amount: quantityOf([...MASS_UNITS, ...VOLUME_UNITS], Positive),
  }),
  mishap: v.strictObject({ what: v.picklist(MISHAPS), words: Words }),
  watered: v.strictObject({ from: v.picklist(WATERED_FROM), depth: quantityOf(LENGTH_UNITS, Positive) }),
  noted: v.strictObject({ words: Words }),
  photo: v.strictObject({ attachmentId: Uuid, words: Words }),
  spot: v.strictObject({ id: Uuid, at: v.strictTuple([Place, Place]) }),
  calibrates: v.strictObject({}),
  timed: v.pipe(
    v.strictObject({ from: v.optional(Instant), to: Instant, only: v.optional(v.literal('day')) }),
    v.check(
      ({ from, to }) => from === undefined || Date.parse(from) <= Date.parse(to),
      'must end after it begins',
    ),
  ),
  signed: v.strictObject({ name: Line, mark: Mark }),
  looked: v.strictObject({
    on: Day,
    rating: v.optional(Rating),
    untreated: v.optional(Rating),
    patch: v.optional(quantityOf(LENGTH_UNITS, NotNegative)),
    result: v.picklist(LOOK_RESULTS),
    words: Words,
    photo: v.optional(Uuid),
    again: v.optional(Day),
  }),
} as const

/** What a phone without a network went by, to be held against what the server works out. */
export const SeenSchema = v.strictObject({
  coreVersion: Line,
  sizeM2: Positive,
  products: v.pipe(
    v.array(v.strictObject({ id: Uuid, amount: quantityOf(AMOUNT_UNITS, Positive) })),
    v.minLength(1),
    v.maxLength(MOST_SEEN),
  ),
  loads: Load,
  stops: v.pipe(v.array(Words), v.maxLength(40)),
})
