import * as v from 'valibot'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import type { JobState } from '#core/job/chain'
import type { FrozenPlan } from '#core/run/runEvent'
import { ApplicationDraftSchema } from '../../core/draft/applicationShape'
import { Day, Line, Uuid, Version } from '#core/shape/texts'

const MOST_APPLICATIONS = 12

/**
 * Saving a job sends what was entered, never what was computed. `version` is the one it was read at; 0 for a
 * new job.
 */
export const SaveJobSchema = v.strictObject({
  version: Version,
  site: Line,
  /** The saved site, null for ground that is measured in the job alone. */
  siteId: v.nullable(Uuid),
  purpose: Line,
  /** Whom it is given to, by name; absent: as it was. */
  givenTo: v.optional(Line),
  plannedFor: v.union([v.literal(''), Day]),
  state: v.picklist(['draft', 'planned', 'cancelled']),
  /** In the order in which they are carried out. */
  applications: v.pipe(
    v.array(v.strictObject({ id: Uuid, document: ApplicationDraftSchema })),
    v.minLength(1, 'A job has at least one application.'),
    v.maxLength(MOST_APPLICATIONS),
    v.check((list) => new Set(list.map(({ id }) => id)).size === list.length, 'must have ids that differ'),
  ),
})
export type SaveJob = v.InferOutput<typeof SaveJobSchema>

/** The driving order of a day: every job of it, once. */
export const SaveDaySchema = v.strictObject({
  order: v.pipe(
    v.array(Uuid),
    v.maxLength(60),
    v.check((ids) => new Set(ids).size === ids.length, 'must name each job once'),
  ),
})

/** The JSON file of one job: as entered, and (for other programs) as it was worked out. */
export const JobFileSchema = v.strictObject({
  format: v.literal('job'),
  schema: v.literal(1),
  site: Line,
  purpose: Line,
  plannedFor: v.union([v.literal(''), Day]),
  applications: v.pipe(
    v.array(
      v.strictObject({
        document: ApplicationDraftSchema,
        request: v.optional(v.unknown()),
        plan: v.optional(v.unknown()),
      }),
    ),
    v.minLength(1, 'A job has at least one application.'),
    v.maxLength(MOST_APPLICATIONS),
  ),
})
export type JobFile = v.InferOutput<typeof JobFileSchema>

export interface JobApplication {
  readonly id: string
  readonly document: ApplicationDraft
  /** How far its own run has come. */
  readonly state: 'planned' | 'running' | 'done'
  /** What was frozen when its run began. */
  readonly frozen?: FrozenPlan
}

/** A job as it is stored. */
export interface Job extends Omit<SaveJob, 'state' | 'applications' | 'givenTo'> {
  readonly id: string
  readonly givenTo: string
  readonly state: JobState
  readonly applications: readonly JobApplication[]
  readonly updatedAt: string
}

/** A row of the list of jobs. */
export interface JobRow {
  readonly id: string
  readonly site: string
  readonly siteId: string | null
  readonly purpose: string
  /** Whom it is given to, by name; blank: nobody yet. */
  readonly givenTo: string
  readonly plannedFor: string
  readonly state: JobState
  readonly updatedAt: string
  /** How its applications are carried, in their order. */
  readonly methods: readonly ('spread' | 'spray')[]
  /** The products of each application, by name. */
  readonly products: readonly string[]
}

export interface JobPage {
  readonly rows: readonly JobRow[]
  readonly next: string | null
}
