import * as v from 'valibot'
import { AreaProgramDocumentSchema, ProgramDocumentSchema } from '#core/program/programShape'
import type { Intention } from '#core/program/intentions'
import type { ProgramOutlook } from '#core/program/programOutlook'
import type { SectionBudget } from '#core/program/sectionBudget'
import type { PurchaseLine } from '#core/program/purchaseList'
import type { NextOnLawn } from '#core/season/nextOnLawn'
import { Name, Uuid, Version } from '#core/shape/texts'

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
