import * as v from 'valibot'
import type { ApplicationDocument } from '#core/jobsheet/document'
import type { JobState } from '#core/jobsheet/chain'
import { ApplicationDocumentSchema, Day, Uuid } from './application'

const Text = v.pipe(v.string(), v.maxLength(200, 'is too long'))

/** Saving a job sends what was entered, never what was computed. `version` is the one it was read at; 0 for a new job. */
export const SaveJobSchema = v.strictObject({
  version: v.pipe(v.number(), v.integer(), v.minValue(0)),
  site: Text,
  purpose: Text,
  plannedFor: v.union([v.literal(''), Day]),
  state: v.picklist(['draft', 'planned', 'cancelled']),
  application: v.strictObject({ id: Uuid, document: ApplicationDocumentSchema }),
})
export type SaveJob = v.InferOutput<typeof SaveJobSchema>

/** A job as it is stored. */
export interface Job {
  readonly id: string
  readonly version: number
  readonly site: string
  readonly purpose: string
  /** YYYY-MM-DD, blank where no day is set. */
  readonly plannedFor: string
  readonly state: JobState
  readonly application: { readonly id: string; readonly document: ApplicationDocument }
  readonly updatedAt: string
}

/** A row of the list of jobs. */
export interface JobRow {
  readonly id: string
  readonly site: string
  readonly purpose: string
  readonly plannedFor: string
  readonly state: JobState
  readonly updatedAt: string
}
