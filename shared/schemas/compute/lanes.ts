import * as v from 'valibot'
import { NotNegative, Positive, quantityOf } from '#core/shape/figures'
import {
  Area,
  Figure,
  figureIn,
  Length,
  listOf,
  Pair,
  Speed,
  Whole,
  WIRE_CARRIERS,
  WIRE_LENGTHS,
  WIRE_MASS_RATES,
  WIRE_TIMES,
  WorkingSchema,
} from './wire'

const MOST_CORNERS = 5000
const MOST_EXCLUSIONS = 500
const MOST_TRAYS = 200
const MOST_HEADERS = 20
const LARGEST_SEED = 2 ** 32 - 1
/** What lies further out is no site. */
const FARTHEST_M = 1e6
const Coordinate = v.pipe(
  v.number('must be a number'),
  v.minValue(-FARTHEST_M, 'must be within 1,000 km'),
  v.maxValue(FARTHEST_M, 'must be within 1,000 km'),
)
const Place = v.tuple([Coordinate, Coordinate])
const Ring = listOf(Place, 3, MOST_CORNERS)
const LengthOrNone = quantityOf(WIRE_LENGTHS, NotNegative)

const LANES = {
  outline: Ring,
  exclusions: v.optional(listOf(Ring, 0, MOST_EXCLUSIONS), []),
  width: Length,
  direction: v.optional(
    v.pipe(Figure, v.minValue(-360, 'must be -360 to 360'), v.maxValue(360, 'must be -360 to 360')),
  ),
  headers: v.pipe(
    Whole,
    v.minValue(0, `must be 0 to ${MOST_HEADERS}`),
    v.maxValue(MOST_HEADERS, `must be 0 to ${MOST_HEADERS}`),
  ),
  passes: v.picklist([1, 2], 'must be 1 or 2'),
  speed: Speed,
  turn: v.optional(quantityOf(WIRE_TIMES, NotNegative)),
  start: v.optional(Place),
  truck: v.optional(Place),
  load: v.optional(v.strictObject({ area: Area })),
}

/** The request of POST /api/lanes. */
export const LanesRequestSchema = v.strictObject(LANES)
export type LanesRequest = v.InferOutput<typeof LanesRequestSchema>

export const LanesAnswerSchema = v.strictObject({
  passes: v.array(
    v.strictObject({
      direction: v.number(),
      lanes: v.array(v.strictObject({ number: v.number(), header: v.boolean(), line: v.array(Pair) })),
    }),
  ),
  distance: v.number(),
  turns: v.number(),
  time: v.number(),
  refills: v.array(v.strictObject({ afterLane: v.number(), at: Pair, toTruck: v.nullable(v.number()) })),
  reasons: v.array(v.string()),
  working: WorkingSchema,
})
export type LanesAnswer = v.InferOutput<typeof LanesAnswerSchema>

/** The request of POST /api/coverage. */
export const CoverageRequestSchema = v.strictObject({
  ...LANES,
  profile: v.strictObject({ spacing: Length, catches: listOf(NotNegative, 2, MOST_TRAYS) }),
  rate: quantityOf([...WIRE_MASS_RATES, ...WIRE_CARRIERS], Positive),
  cell: Length,
  seed: v.pipe(
    Whole,
    v.minValue(0, 'must be 0 to 4,294,967,295'),
    v.maxValue(LARGEST_SEED, 'must be 0 to 4,294,967,295'),
  ),
  wander: v.optional(LengthOrNone),
  speedSd: v.optional(v.pipe(NotNegative, v.maxValue(1, 'must be a share, 0 to 1'))),
  lag: v.optional(LengthOrNone),
})
export type CoverageRequest = v.InferOutput<typeof CoverageRequestSchema>

const Amount = v.union([figureIn('kg'), figureIn('L')])
export const CoverageAnswerSchema = v.strictObject({
  mean: v.number(),
  cv: v.number(),
  under80: v.number(),
  over120: v.number(),
  thrown: Amount,
  onLawn: Amount,
  offLawn: Amount,
  histogram: v.array(v.strictObject({ from: v.number(), to: v.number(), share: v.number() })),
  cell: v.number(),
  reasons: v.array(v.string()),
  working: WorkingSchema,
})
export type CoverageAnswer = v.InferOutput<typeof CoverageAnswerSchema>
