import * as v from 'valibot'
import { PRODUCT_KINDS } from '../label/productDocument'
import { RATE_UNITS, TEMPERATURE_UNITS } from '../quantity/units'
import { CUE_KINDS } from '../season/cues/cue'
import { WINDOW_NAMES } from '../season/windows/seasonWindow'
import { enteredOf } from '../shape/figures'
import { held, type Held } from '../shape/held'
import { BlankOrDay, Line, Notes, Uuid } from '../shape/texts'
import { STEP_WHENS } from './stepWhens'

const YearDay = v.pipe(
  v.string(),
  v.regex(/^(|(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01]))$/, 'must be month and day, such as 06-01'),
)
const Degrees = enteredOf(TEMPERATURE_UNITS)
const BlankOrUuid = v.union([v.literal(''), Uuid])
const MOST_STEPS = 60
const MOST_CHANGES = 400

/** What tells the days of a step; the fields that belong to another way stay as they were typed. */
const StepWhenSchema = v.strictObject({
  by: v.picklist(STEP_WHENS),
  /** `window`: one of the season's. */
  window: v.picklist(['', ...WINDOW_NAMES]),
  /** `soil`: from and to, while it warms or while it cools. */
  half: v.picklist(['warming', 'cooling']),
  soilFrom: Degrees,
  soilTo: Degrees,
  /** `dates`: MM-DD of the northern half; in the southern they move by half a year. */
  from: YearDay,
  to: YearDay,
  /** `heat units`: degree-days C above a base, counted from a day of the year (MM-DD). */
  base: Line,
  units: Line,
  since: YearDay,
  /** `cue`: something seen on the site, the first time it was noted this year. */
  cue: v.optional(v.picklist(['', ...CUE_KINDS])),
  /** `after`: another step; `seed`: the overseeding day. Days after it, or a cue; before it below zero. */
  step: BlankOrUuid,
  daysFrom: Line,
  daysTo: Line,
})
export type StepWhen = Held<typeof StepWhenSchema>

/** One step of a program: when, and what; cultural works too, since products hang on them. */
const ProgramStepSchema = v.strictObject({
  id: Uuid,
  title: Line,
  /** Blank: work without a product. */
  kind: v.picklist(['', ...PRODUCT_KINDS]),
  /** A saved product; blank: chosen when it comes to it. */
  productId: BlankOrUuid,
  /** What a feed brings of nitrogen; blank: what the label says. */
  nitrogen: enteredOf(RATE_UNITS),
  when: StepWhenSchema,
  /** So many in all, so many days apart; blank: once. */
  times: Line,
  every: Line,
  notes: Notes,
})
export type ProgramStep = Held<typeof ProgramStepSchema>

export const ProgramDocumentSchema = held(
  v.strictObject({
    schema: v.literal(1),
    lawn: Line,
    steps: v.pipe(
      v.array(ProgramStepSchema),
      v.maxLength(MOST_STEPS, `must have at most ${MOST_STEPS} steps`),
      v.check(
        (steps) => new Set(steps.map(({ id }) => id)).size === steps.length,
        'must have ids that differ',
      ),
    ),
    notes: Notes,
  }),
)
export type ProgramDocument = v.InferOutput<typeof ProgramDocumentSchema>

/** What is changed of a program on one area. */
const StepChangeSchema = v.strictObject({
  stepId: Uuid,
  /** Which of its repeats, from 0. */
  occurrence: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(25)),
  leaveOut: v.boolean(),
  /** YYYY-MM-DD on which work without a product was done; blank: not yet. */
  doneOn: BlankOrDay,
  productId: BlankOrUuid,
  nitrogen: enteredOf(RATE_UNITS),
  /** Of its first occurrence: another number of repeats and days between; blank as the program has it. */
  times: v.optional(Line),
  every: v.optional(Line),
})
export type StepChange = Held<typeof StepChangeSchema>

/** A program as it is applied to one area. */
export const AreaProgramDocumentSchema = held(
  v.strictObject({
    schema: v.literal(1),
    changes: v.pipe(v.array(StepChangeSchema), v.maxLength(MOST_CHANGES)),
    notes: Notes,
  }),
)
