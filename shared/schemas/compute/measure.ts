import * as v from 'valibot'
import { INSTRUMENTS } from '#core/ground/instruments'
import { NotNegative, Positive, quantityOf } from '#core/shape/figures'
import { Area, Figure, figureIn, Length, listOf, Pair, WIRE_LENGTHS, WorkingSchema } from './wire'

const MOST_PARTS = 100
const MOST_POINTS = 5000

/** Paces are lengths where the request brings the stride they were walked with. */
const SPANS = [...WIRE_LENGTHS, 'paces'] as const
const Span = quantityOf(SPANS, Positive)
const SpanOrNone = quantityOf(SPANS, NotNegative)
const Angle = quantityOf(['deg'], Positive)
const Spans = listOf(Span, 1, MOST_POINTS)
const Points = listOf(v.tuple([Figure, Figure]), 3, MOST_POINTS)
const Lon = v.pipe(
  Figure,
  v.minValue(-180, 'a longitude is -180 to 180'),
  v.maxValue(180, 'a longitude is -180 to 180'),
)
const Lat = v.pipe(
  Figure,
  v.minValue(-90, 'a latitude is -90 to 90'),
  v.maxValue(90, 'a latitude is -90 to 90'),
)
const sign = v.picklist(['add', 'subtract'])
const shape = <const S extends string, const E extends v.ObjectEntries>(name: S, entries: E) =>
  v.strictObject({ sign, shape: v.literal(name), ...entries })

const Part = v.variant('shape', [
  shape('rectangle', { length: Span, width: Span }),
  shape('triangle', { base: Span, height: Span }),
  shape('three sides', { first: Span, second: Span, third: Span }),
  shape('two sides and angle', { first: Span, second: Span, angle: Angle }),
  shape('trapezoid', { side: Span, opposite: Span, height: Span }),
  shape('circle', { radius: v.optional(Span), diameter: v.optional(Span), circumference: v.optional(Span) }),
  shape('ellipse', { length: Span, width: Span }),
  shape('sector', { radius: Span, angle: Angle }),
  shape('ring', { outer: Span, inner: Span }),
  shape('offsets', {
    spacing: Span,
    list: listOf(SpanOrNone, 1, MOST_POINTS),
    rule: v.optional(v.picklist(['interval', 'trapezoid', 'simpson']), 'interval'),
  }),
  shape('radii', {
    list: listOf(Span, 3, MOST_POINTS),
    rule: v.optional(v.picklist(['rounded', 'straight']), 'rounded'),
  }),
  shape('four sides and diagonal', {
    first: Span,
    second: Span,
    third: Span,
    fourth: Span,
    diagonal: Span,
    diagonalOutside: v.optional(v.boolean('must be true or false')),
  }),
  shape('triangles', { list: Spans }),
  shape('outline', { points: Points }),
  shape('track', { points: listOf(v.tuple([Lon, Lat]), 3, MOST_POINTS) }),
  shape('known', { size: Area }),
])
export type WirePart = v.InferOutput<typeof Part>

/** The request of POST /api/measure. */
export const MeasureRequestSchema = v.pipe(
  v.strictObject({
    parts: listOf(Part, 1, MOST_PARTS),
    slope: v.optional(
      v.strictObject({
        value: v.pipe(NotNegative, v.maxValue(1000, 'must be at most 1,000 %')),
        unit: v.literal('%'),
      }),
    ),
    instrument: v.optional(v.picklist(INSTRUMENTS, 'must be tape, wheel or paced')),
    tool: v.optional(v.strictObject({ distance: Length, runs: listOf(Positive, 1, 50) })),
  }),
  v.forward(
    v.check(
      ({ parts }) => parts.every(isOneCircle),
      'A circle is told by one of radius, diameter and circumference.',
    ),
    ['parts'],
  ),
  v.forward(
    v.check(
      ({ parts }) => !(has(parts, 'track') && has(parts, 'outline')),
      'Tracks on the earth and outlines in metres don’t share a frame: send them apart.',
    ),
    ['parts'],
  ),
  v.forward(
    v.check(
      ({ tool, instrument, parts }) =>
        tool === undefined || (instrument ?? (usesPaces(parts) ? 'paced' : 'tape')) !== 'tape',
      'belongs to a wheel or to pacing: say which is the instrument',
    ),
    ['tool'],
  ),
)
export type MeasureRequest = v.InferOutput<typeof MeasureRequestSchema>

const has = (parts: readonly WirePart[], wanted: WirePart['shape']) =>
  parts.some((part) => part.shape === wanted)
const isOneCircle = (part: WirePart): boolean =>
  part.shape !== 'circle' ||
  [part.radius, part.diameter, part.circumference].filter((one) => one !== undefined).length === 1
const isPaces = (value: unknown): boolean =>
  Array.isArray(value)
    ? value.some(isPaces)
    : typeof value === 'object' && value !== null && 'unit' in value && value.unit === 'paces'
/** Whether any length was paced. */
export const usesPaces = (parts: readonly WirePart[]): boolean =>
  parts.some((part) => Object.values(part).some(isPaces))

/** The answer, for the API's description. */
export const MeasureAnswerSchema = v.strictObject({
  net: figureIn('m2'),
  flat: figureIn('m2'),
  give: v.nullable(figureIn('m2')),
  parts: v.array(v.strictObject({ area: figureIn('m2') })),
  problems: v.array(
    v.strictObject({
      part: v.number(),
      code: v.picklist(['outside', 'overlap', 'crosses-outline']),
      message: v.string(),
      at: v.optional(Pair),
    }),
  ),
  working: WorkingSchema,
})
export type MeasureAnswer = v.InferOutput<typeof MeasureAnswerSchema>
