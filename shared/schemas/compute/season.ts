import * as v from 'valibot'
import { GRASS_NAMES } from '#core/ground/grasses'
import { WINDOW_STATES } from '#core/season/windows/seasonWindow'
import { NotNegative, Percent, Positive, quantityOf } from '#core/shape/figures'
import { Day } from '#core/shape/texts'
import { Figure, Length, listOf, WIRE_LENGTHS, WorkingSchema } from './wire'

const MOST_DAYS = 4000
const MOST_APPLICATIONS = 1000
/** Longer than anything lasts that is put on a lawn. */
const LONGEST_LASTING = 1000

const Temperature = v.strictObject({
  value: Figure,
  unit: v.picklist(['F', 'C'], 'must be one of the known units: F, C'),
})
export type WireTemperature = v.InferOutput<typeof Temperature>

const Degrees = v.pipe(
  Figure,
  v.minValue(-90, 'must be from -90 to 90 degrees'),
  v.maxValue(90, 'must be from -90 to 90 degrees'),
)

const SEASON_ASKS = ['soil', 'heatUnits', 'windows', 'indices', 'lines'] as const
const SEASON_KINDS = [
  'growth regulator',
  'pre-emergent herbicide',
  'fungicide',
  'fertilizer',
  'insecticide',
] as const

/** The request of POST /api/season: a place's weather, its grasses, what was laid. */
export const SeasonRequestSchema = v.strictObject({
  latitude: v.union([Degrees, v.strictObject({ value: Degrees, unit: v.literal('deg') })]),
  grass: listOf(v.picklist(GRASS_NAMES, 'must be a known grass'), 0, GRASS_NAMES.length),
  heightOfCut: v.optional(Length),
  overseeding: v.optional(Day),
  days: listOf(
    v.strictObject({
      on: Day,
      min: Temperature,
      max: Temperature,
      mean: v.optional(Temperature),
      rh: v.optional(Percent),
      rain: v.optional(quantityOf(WIRE_LENGTHS, NotNegative)),
      soil: v.optional(Temperature),
      forecast: v.optional(v.boolean('must be true or false'), false),
    }),
    0,
    MOST_DAYS,
  ),
  probes: v.optional(listOf(v.strictObject({ on: Day, soil: Temperature }), 0, MOST_DAYS), []),
  applications: v.optional(
    listOf(
      v.strictObject({
        on: Day,
        kind: v.picklist(SEASON_KINDS, `must be one of: ${SEASON_KINDS.join(', ')}`),
        active: v.optional(v.pipe(v.string(), v.maxLength(200, 'is too long for a name'))),
        lastsDays: v.optional(v.pipe(Positive, v.maxValue(LONGEST_LASTING, 'must be at most 1,000 days'))),
        heatUnits: v.optional(v.strictObject({ base: v.union([Figure, Temperature]), threshold: Positive })),
      }),
      0,
      MOST_APPLICATIONS,
    ),
    [],
  ),
  today: Day,
  ask: listOf(v.picklist(SEASON_ASKS, `must be some of: ${SEASON_ASKS.join(', ')}`), 1, SEASON_ASKS.length),
})
export type SeasonRequest = v.InferOutput<typeof SeasonRequestSchema>

export const SeasonAnswerSchema = v.strictObject({
  soil: v.optional(v.array(v.strictObject({ on: v.string(), c: v.number(), give: v.number() }))),
  heatUnits: v.optional(
    v.array(
      v.strictObject({
        since: v.string(),
        base: v.number(),
        sum: v.nullable(v.number()),
        threshold: v.nullable(v.number()),
        due: v.optional(v.string()),
      }),
    ),
  ),
  windows: v.optional(
    v.array(
      v.strictObject({
        name: v.string(),
        opens: v.optional(v.string()),
        closes: v.optional(v.string()),
        state: v.picklist(WINDOW_STATES),
        reason: v.string(),
      }),
    ),
  ),
  indices: v.optional(
    v.array(v.strictObject({ name: v.string(), on: v.string(), value: v.number(), act: v.boolean() })),
  ),
  lines: v.optional(
    v.array(
      v.strictObject({
        from: v.string(),
        to: v.nullable(v.string()),
        what: v.string(),
        gapTo: v.optional(v.string()),
      }),
    ),
  ),
  working: WorkingSchema,
})
export type SeasonAnswer = v.InferOutput<typeof SeasonAnswerSchema>
