import * as v from 'valibot'
import {
  AMOUNT_UNITS,
  AREA_UNITS,
  LENGTH_UNITS,
  MASS_UNITS,
  SPEED_UNITS,
  TEMPERATURE_UNITS,
  TIME_UNITS,
  VOLUME_UNITS,
} from '../quantity/units'
import { enteredOf, entriesOf, NotNegative, Positive, quantityOf } from '../shape/figures'
import type { Held } from '../shape/held'
import { Day, Instant, Line, Uuid } from '../shape/texts'
import { CONDITION_SUBJECTS } from '../conditions/judge'
import { COMPASS_POINTS } from '../ground/compass'
import { LOOK_RESULTS, MISHAPS, WATERED_FROM } from './carriedChoices'
import { READING_WAYS } from './corrections/reading'
import { ANSWERS, GATE_QUESTIONS, GROUNDS, LEAVES } from './gate/gateReadings'

const Words = v.pipe(v.string(), v.maxLength(2000, 'is too long'))
const Load = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(1000))
const Share = v.pipe(v.number(), v.minValue(0), v.maxValue(1, 'must be at most 1'))
const StepId = v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,40}$/, 'is no step of a run'))
const SUBJECTS = [...CONDITION_SUBJECTS, ...GATE_QUESTIONS] as const
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
  /** Where the wind comes from; absent in readings of before 0.14. */
  windFrom: v.optional(v.picklist(['', ...COMPASS_POINTS])),
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
  /**
   * Go or no-go: what was read, what spoke against it and what was not read, and why somebody went all the
   * same.
   */
  gate: v.pipe(Gate, GoesForAReason),
  stepped: v.strictObject({ step: StepId, done: v.picklist(['yes', 'no']) }),
  /**
   * What the scale or the jug really said. Load 0 is the hopper; charges of rates of their own count from 1.
   */
  measured: v.strictObject({ load: Load, productId: Uuid, amount: quantityOf(AMOUNT_UNITS, Positive) }),
  /** A rest found on the way of dry work, and how much of this pass is behind. */
  checked: v.strictObject({
    pass: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(100)),
    share: v.pipe(v.number(), v.gtValue(0, 'must be above zero'), v.maxValue(1, 'must be at most 1')),
    left: quantityOf(MASS_UNITS, NotNegative),
    way: v.picklist(READING_WAYS),
  }),
  /**
   * A light pass over ground behind that lacked more than a tenth, shares of the last pass; `no`: it was
   * left, and the record says short.
   */
  light: v.strictObject({
    from: Share,
    to: Share,
    amount: quantityOf(MASS_UNITS, Positive),
    done: v.picklist(['yes', 'no']),
    dial: v.optional(Line),
  }),
  /**
   * The ground a load of spray really covered; mix the rest for the carrier as it came, walk so that the
   * planned one comes back, or leave all as it is.
   */
  covered: v.strictObject({
    load: Load,
    covered: quantityOf(AREA_UNITS, Positive),
    take: v.picklist(['mix', 'pace', 'plan']),
  }),
  /** Spray of a common mix that was in the tank on arrival. */
  tank: v.strictObject({ found: quantityOf(VOLUME_UNITS, NotNegative) }),
  /** Dial or pace from here on. */
  set: v.strictObject({ dial: v.optional(Line), pace: v.optional(quantityOf(SPEED_UNITS, Positive)) }),
  paused: v.strictObject({ reason: Words }),
  resumed: v.strictObject({}),
  /**
   * Ground beyond the planned areas treated with what was left, product or finished spray; it is booked
   * there.
   */
  strip: v.strictObject({
    id: Uuid,
    name: Line,
    size: quantityOf(AREA_UNITS, Positive),
    amount: quantityOf([...MASS_UNITS, ...VOLUME_UNITS], Positive),
  }),
  mishap: v.strictObject({ what: v.picklist(MISHAPS), words: Words }),
  /** Watered in, as a gauge or a timer said. */
  watered: v.strictObject({ from: v.picklist(WATERED_FROM), depth: quantityOf(LENGTH_UNITS, Positive) }),
  noted: v.strictObject({ words: Words }),
  photo: v.strictObject({ attachmentId: Uuid, words: Words }),
  /** A weed or a patch that was treated, on the plan of the lawns, m. */
  spot: v.strictObject({ id: Uuid, at: v.strictTuple([Place, Place]) }),
  /** What was weighed or measured back is a calibration of the machine too. */
  calibrates: v.strictObject({}),
  /** When it really was, where it is entered afterwards; `only`: nobody noted more than the day. */
  timed: v.pipe(
    v.strictObject({ from: v.optional(Instant), to: Instant, only: v.optional(v.literal('day')) }),
    v.check(
      ({ from, to }) => from === undefined || Date.parse(from) <= Date.parse(to),
      'must end after it begins',
    ),
  ),
  /** A mark drawn by hand, beside the typed name. */
  signed: v.strictObject({ name: Line, mark: Mark }),
  /**
   * A dated look at what it did: quality of the turf and of the untreated strip, the patch that is watched,
   * and the day to look again.
   */
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

type Payloads = typeof CARRIED_PAYLOADS
type Payload<K extends keyof Payloads> = Held<Payloads[K]>

export type GateEntry = Payload<'gate'>
export type MeasuredEntry = Payload<'measured'>
export type CheckedEntry = Payload<'checked'>
export type LightEntry = Payload<'light'>
export type CoveredEntry = Payload<'covered'>
export type TankEntry = Payload<'tank'>
export type SettingEntry = Payload<'set'>
export type StripEntry = Payload<'strip'>
export type MishapEntry = Payload<'mishap'>
export type WateredEntry = Payload<'watered'>
export type PhotoEntry = Payload<'photo'>
export type SpotEntry = Payload<'spot'>
export type TimedEntry = Payload<'timed'>
export type SignedEntry = Payload<'signed'>
export type LookEntry = Payload<'looked'>

/** What is written down while a run is carried out, and what is seen of it afterwards. */
export type CarriedBody = {
  [K in keyof Payloads]: { readonly kind: K; readonly payload: Payload<K> }
}[keyof Payloads]

/** No application has more products than that. */
const MOST_SEEN = 20

/** What a phone without a network worked out and went by: enough to tell where the server's plan differs. */
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
export type SeenPlan = Held<typeof SeenSchema>
