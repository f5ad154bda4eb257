import * as v from 'valibot'
import { PRODUCT_KINDS } from '#core/label/productDocument'
import type { AreaProgramDocument, ProgramDocument } from '#core/program/programDocument'
import { STEP_WHENS } from '#core/program/programDocument'
import type { Intention } from '#core/program/intentions'
import type { ProgramOutlook } from '#core/program/programOutlook'
import type { SectionBudget } from '#core/program/sectionBudget'
import type { PurchaseLine } from '#core/program/purchaseList'
import type { NextOnLawn } from '#core/season/nextOnLawn'
import { CUE_KINDS } from '#core/season/cues/cue'
import { WINDOW_NAMES } from '#core/season/windows/seasonWindow'
import { RATE_UNITS, TEMPERATURE_UNITS } from '#core/quantity/units'
import { enteredOf } from './quantity'
import { BlankOrDay, Line, Name, Notes, Uuid, Version } from './texts'

const YearDay = v.pipe(
  v.string(),
  v.regex(/^(|(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01]))$/, 'must be month and day, such as 06-01'),
)
const Degrees = enteredOf(TEMPERATURE_UNITS)
const BlankOrUuid = v.union([v.literal(''), Uuid])
const MOST_STEPS = 60
const MOST_CHANGES = 400

const When = v.strictObject({
  by: v.picklist(STEP_WHENS),
  window: v.picklist(['', ...WINDOW_NAMES]),
  half: v.picklist(['warming', 'cooling']),
  soilFrom: Degrees,
  soilTo: Degrees,
  from: YearDay,
  to: YearDay,
  base: Line,
  units: Line,
  since: YearDay,
  cue: v.optional(v.picklist(['', ...CUE_KINDS])),
  step: BlankOrUuid,
  daysFrom: Line,
  daysTo: Line,
})

const ProgramDocumentShape = v.strictObject({
  schema: v.literal(1),
  lawn: Line,
  steps: v.pipe(
    v.array(
      v.strictObject({
        id: Uuid,
        title: Line,
        kind: v.picklist(['', ...PRODUCT_KINDS]),
        productId: BlankOrUuid,
        nitrogen: enteredOf(RATE_UNITS),
        when: When,
        times: Line,
        every: Line,
        notes: Notes,
      }),
    ),
    v.maxLength(MOST_STEPS, `must have at most ${MOST_STEPS} steps`),
    v.check((steps) => new Set(steps.map(({ id }) => id)).size === steps.length, 'must have ids that differ'),
  ),
  notes: Notes,
})
const ProgramDocumentSchema: v.GenericSchema<ProgramDocument> = ProgramDocumentShape

export const SaveProgramSchema = v.strictObject({
  version: Version,
  name: Name,
  document: ProgramDocumentSchema,
})
export type SaveProgram = v.InferOutput<typeof SaveProgramSchema>
export interface Program extends SaveProgram {
  readonly id: string
  readonly updatedAt: string
}

const AreaProgramShape = v.strictObject({
  schema: v.literal(1),
  changes: v.pipe(
    v.array(
      v.strictObject({
        stepId: Uuid,
        occurrence: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(25)),
        leaveOut: v.boolean(),
        doneOn: BlankOrDay,
        productId: BlankOrUuid,
        nitrogen: enteredOf(RATE_UNITS),
        times: v.optional(Line),
        every: v.optional(Line),
      }),
    ),
    v.maxLength(MOST_CHANGES),
  ),
  notes: Notes,
})
const AreaProgramDocumentSchema: v.GenericSchema<AreaProgramDocument> = AreaProgramShape

/** A program applied to one area, with what is changed of it there. */
export const SaveAreaProgramSchema = v.strictObject({
  version: Version,
  areaId: Uuid,
  programId: Uuid,
  document: AreaProgramDocumentSchema,
})
export type SaveAreaProgram = v.InferOutput<typeof SaveAreaProgramSchema>
export interface AreaProgram extends SaveAreaProgram {
  readonly id: string
  readonly updatedAt: string
}

type AnsweredWorking = readonly { readonly figure: string; readonly lines: readonly string[] }[]

/** A program on one area: its steps dated, and what cannot go as it stands. */
export interface AreaProgramPage {
  readonly program: Program
  readonly applied: AreaProgram
  readonly intentions: readonly Intention[]
  readonly outlook: Omit<ProgramOutlook, 'rows'>
  readonly working: AnsweredWorking
}

/** One lawn on the board of all sites. */
export interface BoardRow {
  readonly areaId: string
  readonly area: string
  readonly siteId: string
  readonly site: string
  readonly priority: 'normal' | 'high' | 'low'
  /** Name of its program; blank: none. */
  readonly program: string
  readonly next: readonly NextOnLawn[]
  /** Steps of its program that are open, late, or open within two weeks. */
  readonly due: readonly Intention[]
}

/** What the season still needs, over all sites. */
export interface Purchases {
  readonly lines: readonly PurchaseLine[]
  /** Sites with a budget: what their year costs, and what it does not reach. */
  readonly budgets: readonly (SectionBudget & { readonly siteId: string; readonly site: string })[]
  /** Steps and jobs whose amount is in no line, in words. */
  readonly open: readonly string[]
  readonly working: AnsweredWorking
}
