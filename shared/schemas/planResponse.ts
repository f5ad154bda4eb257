import * as v from 'valibot'
import { NUTRIENTS } from '#core/label/label'
import { CHECK_LEVELS, PLAN_CHECK_CODES } from '#core/plan/plan'
import { AMOUNT_UNITS, RATE_UNITS, VOLUME_UNITS } from '#core/quantity/units'
import { ERROR_CODES } from '../errorCodes'

const figure = <const U extends string>(units: readonly U[]) =>
  v.strictObject({ value: v.number(), unit: v.picklist(units) })
const Size = figure(['m2'])
const Amount = figure(AMOUNT_UNITS)
const Volume = figure(VOLUME_UNITS)
const Id = v.string()

/**
 * The answer of POST /api/plan; only the API's description reads it, the core's `Plan` type is its source.
 */
export const PlanResponseSchema = v.strictObject({
  areas: v.array(
    v.strictObject({
      id: Id,
      size: Size,
      carrier: v.nullable(Volume),
      products: v.array(v.strictObject({ id: Id, amount: Amount, perPass: v.nullable(Amount) })),
    }),
  ),
  totals: v.strictObject({
    size: Size,
    carrier: v.nullable(Volume),
    mix: v.nullable(Volume),
    products: v.array(
      v.strictObject({
        id: Id,
        amount: Amount,
        mix: v.nullable(Amount),
        measured: Amount,
        measuredRate: figure(RATE_UNITS),
        charge: v.nullable(Amount),
      }),
    ),
  }),
  loads: v.array(
    v.strictObject({
      number: v.number(),
      size: Size,
      carrier: Volume,
      products: v.array(v.strictObject({ id: Id, amount: Amount, measured: Amount })),
      areas: v.optional(v.array(Id)),
    }),
  ),
  nutrients: v.nullable(
    v.strictObject(Object.fromEntries(NUTRIENTS.map((name) => [name, figure(['lb/1000 ft2'])]))),
  ),
  checks: v.array(
    v.strictObject({
      level: v.picklist(CHECK_LEVELS),
      code: v.picklist(PLAN_CHECK_CODES),
      productId: v.optional(Id),
      message: v.string(),
    }),
  ),
  working: v.array(v.strictObject({ figure: v.string(), lines: v.array(v.string()) })),
  rates: v.optional(
    v.array(
      v.strictObject({
        areas: v.array(Id),
        size: Size,
        products: v.array(
          v.strictObject({ id: Id, rate: figure(RATE_UNITS), amount: Amount, measured: Amount }),
        ),
      }),
    ),
  ),
})

export const ErrorSchema = v.strictObject({
  error: v.strictObject({
    code: v.picklist(ERROR_CODES),
    issues: v.array(
      v.strictObject({
        path: v.string(),
        message: v.string(),
        at: v.optional(v.tuple([v.number(), v.number()])),
      }),
    ),
  }),
})

export const HealthSchema = v.strictObject({
  status: v.picklist(['ok', 'starting', 'down']),
  version: v.optional(v.string()),
  database: v.optional(v.picklist(['ok', 'down'])),
})
