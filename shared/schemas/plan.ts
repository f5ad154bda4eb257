import * as v from 'valibot'
import { RATE_BASES } from '#core/label/label'
import { LOAD_STYLES } from '#core/plan/planRequest'
import {
  AMOUNT_UNITS,
  AREA_UNITS,
  CARRIER_UNITS,
  CONTENT_UNITS,
  DENSITY_UNITS,
  MASS_UNITS,
  RATE_UNITS,
  VOLUME_UNITS,
} from '#core/quantity/units'
import { NotNegative, Percent, Positive, quantityOf } from '#core/shape/figures'

const MOST_AREAS = 500
const MOST_PRODUCTS = 50
const LONGEST_NAME = 200

const Id = v.pipe(
  v.string('must be a text'),
  v.regex(/^[A-Za-z0-9_-]{1,64}$/, 'must be 1 to 64 letters, digits, _ or -'),
)
const Name = v.pipe(v.string('must be a text'), v.maxLength(LONGEST_NAME, 'must be at most 200 characters'))
const RateSchema = quantityOf(RATE_UNITS, Positive)

const LimitsSchema = v.strictObject({
  low: v.optional(RateSchema),
  high: v.optional(RateSchema),
  maxPerApplication: v.optional(RateSchema),
})

/** `rates` are of this area alone; added to the contract, which knows one rate for all. */
const AreaSchema = v.strictObject({
  id: Id,
  name: v.optional(Name),
  size: quantityOf(AREA_UNITS, Positive),
  rates: v.optional(
    v.pipe(
      v.array(v.strictObject({ id: Id, rate: RateSchema, limits: v.optional(LimitsSchema) })),
      v.maxLength(MOST_PRODUCTS),
    ),
  ),
})

const ProductSchema = v.strictObject({
  id: Id,
  name: v.optional(Name),
  rate: RateSchema,
  basis: v.optional(v.picklist(RATE_BASES, 'must be product, n, p2o5, k2o, fe or active')),
  density: v.optional(quantityOf(DENSITY_UNITS, Positive)),
  analysis: v.optional(
    v.strictObject({
      n: v.optional(Percent),
      p2o5: v.optional(Percent),
      k2o: v.optional(Percent),
      fe: v.optional(Percent),
      slowN: v.optional(Percent),
    }),
  ),
  actives: v.optional(v.array(v.strictObject({ name: Name, content: quantityOf(CONTENT_UNITS, Positive) }))),
  limits: v.optional(LimitsSchema),
  measureStep: v.optional(quantityOf(AMOUNT_UNITS, Positive)),
})

const MethodSchema = v.variant(
  'kind',
  [
    v.strictObject({
      kind: v.literal('spread'),
      passes: v.pipe(
        v.number('must be a number'),
        v.integer('must be a whole number'),
        v.minValue(1, 'must be 1 to 20'),
        v.maxValue(20, 'must be 1 to 20'),
      ),
      reserve: v.optional(quantityOf(MASS_UNITS, NotNegative)),
    }),
    v.strictObject({
      kind: v.literal('spray'),
      carrier: quantityOf(CARRIER_UNITS, Positive),
      tank: quantityOf(VOLUME_UNITS, Positive),
      loads: v.picklist(LOAD_STYLES, 'must be full-then-part, equal or by-area'),
      dead: v.optional(quantityOf(VOLUME_UNITS, NotNegative)),
      agitate: v.optional(quantityOf(VOLUME_UNITS, NotNegative)),
    }),
  ],
  'kind must be spread or spray',
)

/** A list is counted before its rows are looked at, so that a huge one costs nothing. */
const listOf = <const S extends v.GenericSchema>(row: S, most: number) =>
  v.pipe(
    v.array(v.unknown(), 'must be a list'),
    v.minLength(1, 'must have at least one row'),
    v.maxLength(most, `must have at most ${most} rows`),
    v.array(row),
  )

/** The request of POST /api/plan; contradictions between its fields are the core's business. */
export const PlanRequestSchema = v.strictObject({
  areas: listOf(AreaSchema, MOST_AREAS),
  products: listOf(ProductSchema, MOST_PRODUCTS),
  method: MethodSchema,
})
