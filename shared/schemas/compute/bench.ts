import * as v from 'valibot'
import { BOOM_UNKNOWNS } from '#core/calibration/solveBoom'
import { TRAVELS } from '#core/calibration/trayPattern'
import { NotNegative, Percent, Positive, quantityOf } from '#core/shape/figures'
import {
  Figure,
  figureIn,
  Length,
  listOf,
  Pressure,
  Speed,
  Time,
  Volume,
  VolumeLeft,
  Whole,
  WIRE_CARRIERS,
  WIRE_FLOWS,
  WIRE_MASS_RATES,
  WIRE_PRESSURES,
  WorkingSchema,
} from './wire'

const MOST_TRAYS = 200
const MOST_CATCHES = 200
const MOST_POINTS = 5000
const Share = v.number()

/** The request of POST /api/pattern. */
export const PatternRequestSchema = v.pipe(
  v.strictObject({
    spacing: Length,
    catches: listOf(NotNegative, 2, MOST_TRAYS),
    centre: v.optional(v.pipe(Figure, v.minValue(0, 'must be a tray, counted from 0'))),
    travel: v.picklist(TRAVELS, 'must be one-way or back-and-forth'),
    limit: v.pipe(Percent, v.gtValue(0, 'must be above zero')),
    at: v.optional(listOf(Length, 0, MOST_TRAYS)),
  }),
  v.forward(
    v.check(
      ({ centre, catches }) => centre === undefined || centre <= catches.length - 1,
      'must be a tray, counted from 0',
    ),
    ['centre'],
  ),
)
export type PatternRequest = v.InferOutput<typeof PatternRequestSchema>

export const PatternAnswerSchema = v.strictObject({
  swath: v.nullable(figureIn('m')),
  cv: v.array(v.strictObject({ spacing: figureIn('m'), oneWay: Share, backAndForth: Share })),
  halfRateWidth: v.nullable(figureIn('m')),
  skew: Share,
  ended: v.boolean(),
  working: WorkingSchema,
})
export type PatternAnswer = v.InferOutput<typeof PatternAnswerSchema>

const Setting = v.pipe(Figure, v.minValue(0, 'must not be below zero'))

/** The request of POST /api/curve: two of setting, rate and speed are given, the third is asked. */
export const CurveRequestSchema = v.strictObject({
  points: listOf(
    v.strictObject({ setting: Setting, flow: quantityOf(WIRE_FLOWS, Positive), ageDays: NotNegative }),
    1,
    MOST_POINTS,
  ),
  ask: v.pipe(
    v.strictObject({
      setting: v.optional(Setting),
      rate: v.optional(quantityOf(WIRE_MASS_RATES, Positive)),
      speed: v.optional(Speed),
      width: Length,
      passes: v.optional(
        v.pipe(Whole, v.minValue(1, 'must be 1 to 20'), v.maxValue(20, 'must be 1 to 20')),
        1,
      ),
    }),
    v.check(
      ({ setting, rate, speed }) => [setting, rate, speed].filter((one) => one !== undefined).length === 2,
      'Two of setting, rate and speed are given; the third is answered.',
    ),
  ),
})
export type CurveRequest = v.InferOutput<typeof CurveRequestSchema>

export const CurveAnswerSchema = v.strictObject({
  answer: v.union([
    v.strictObject({ setting: v.number() }),
    v.strictObject({ rate: figureIn('kg/m2') }),
    v.strictObject({ speed: figureIn('m/s') }),
  ]),
  band: v.nullable(Share),
  reach: v.picklist(['tested', 'margin']),
  guess: v.boolean(),
  working: WorkingSchema,
})
export type CurveAnswer = v.InferOutput<typeof CurveAnswerSchema>

/** The request of POST /api/nozzles. */
export const NozzlesRequestSchema = v.pipe(
  v.strictObject({
    catches: listOf(VolumeLeft, 1, MOST_CATCHES),
    time: Time,
    rated: v.optional(Volume),
    spacing: Length,
    speed: v.optional(Speed),
    pressure: v.optional(v.strictObject({ now: Pressure, low: Pressure, high: Pressure })),
    gravity: v.optional(v.pipe(Positive, v.maxValue(10, 'is near 1: water is 1'))),
    solve: v.optional(
      v.strictObject({
        for: v.picklist(BOOM_UNKNOWNS, 'must be speed, pressure, flow, spacing or carrier'),
        carrier: v.optional(quantityOf(WIRE_CARRIERS, Positive)),
        speed: v.optional(Speed),
        pressure: v.optional(Pressure),
      }),
    ),
  }),
)
export type NozzlesRequest = v.InferOutput<typeof NozzlesRequestSchema>

export const NozzlesAnswerSchema = v.strictObject({
  mean: figureIn('L/s'),
  off: v.array(Share),
  uneven: v.array(v.number()),
  worn: v.array(v.number()),
  carrier: v.nullable(figureIn('L/m2')),
  solved: v.nullable(
    v.strictObject({
      for: v.picklist(BOOM_UNKNOWNS),
      value: v.strictObject({
        value: v.number(),
        unit: v.picklist(['m/s', 'L/s', 'm', 'L/m2', ...WIRE_PRESSURES]),
      }),
      state: v.picklist(['inside', 'outside practical limits', 'outside nozzle range']),
    }),
  ),
  problems: v.array(v.strictObject({ code: v.picklist(['uneven', 'worn', 'blocked']), message: v.string() })),
  working: WorkingSchema,
})
export type NozzlesAnswer = v.InferOutput<typeof NozzlesAnswerSchema>
