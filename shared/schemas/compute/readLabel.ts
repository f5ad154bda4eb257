import * as v from 'valibot'
import { RATE_BASES } from '#core/label/label'

const LONGEST_TEXT = 10_000

/** The request of POST /api/read-label: directions as a label prints them. */
export const ReadLabelRequestSchema = v.strictObject({
  text: v.pipe(
    v.string(),
    v.minLength(1, 'must have words in it'),
    v.maxLength(LONGEST_TEXT, `must be ${LONGEST_TEXT} letters at the most`),
  ),
  form: v.picklist(['dry', 'liquid'], 'must be dry or liquid'),
})
export type ReadLabelRequest = v.InferOutput<typeof ReadLabelRequestSchema>

const Printed = v.strictObject({ value: v.number(), unit: v.string() })
const Rated = v.strictObject({ rate: Printed, basis: v.picklist(RATE_BASES) })
const Days = v.strictObject({ value: v.number(), unit: v.literal('d') })
const Hours = v.strictObject({ value: v.number(), unit: v.literal('h') })
/** Places in the text, from and to. */
const From = v.array(v.strictTuple([v.number(), v.number()]))

const PrintedLineSchema = v.strictObject({
  rate: v.optional(Printed),
  low: v.optional(Printed),
  high: v.optional(Printed),
  basis: v.picklist(RATE_BASES),
  mostPerApplication: v.optional(Rated),
  mostPerYear: v.optional(Rated),
  period: v.optional(v.picklist(['calendar-year', '12-months'])),
  timesPerYear: v.optional(v.number()),
  inARow: v.optional(v.number()),
  repeatFrom: v.optional(Days),
  repeatTo: v.optional(Days),
  carrierFrom: v.optional(Printed),
  carrierTo: v.optional(Printed),
  reentry: v.optional(Hours),
  rainfast: v.optional(Hours),
  waterDepth: v.optional(Printed),
  waterWithin: v.optional(Hours),
  bagCovers: v.optional(v.strictObject({ amount: Printed, area: Printed })),
  target: v.optional(v.string()),
  grasses: v.optional(v.array(v.string())),
  from: From,
})

export const ReadLabelAnswerSchema = v.strictObject({
  lines: v.array(PrintedLineSchema),
  asks: v.array(v.strictObject({ text: v.string(), question: v.string(), from: From })),
  notUnderstood: v.array(v.strictObject({ text: v.string(), from: From })),
})
export type ReadLabelAnswer = v.InferOutput<typeof ReadLabelAnswerSchema>
