import type { Split } from '#core/draft/applicationChoices'
import type { StaleMachine } from '#core/calibration/staleMachines'
import type { CrewDue } from '#core/season/seasonDue'
import type { DueVisit, LastOnArea } from '#core/season/repeatDue'
import type { JobRow } from './job'

/** What the crew faces this morning. */
export interface Today {
  readonly day: string
  readonly now: string
  readonly running: readonly RunningApplication[]
  /** Planned for today, and what was planned for days gone by and never done. */
  readonly jobs: readonly JobRow[]
  readonly ahead: readonly JobRow[]
  readonly due: readonly DueRow[]
  /** What the season asks for now, site by site. */
  readonly season: readonly SeasonDue[]
  /** When each job of the day can go out, by the weather of its site. */
  readonly outlooks: readonly JobOutlook[]
  readonly reentry: readonly ReentryRow[]
  /** What went down and is not watered in yet, by what a gauge or a timer said. */
  readonly water: readonly WaterRow[]
  /** Lawns to look at again. */
  readonly looks: readonly LookRow[]
  readonly stale: readonly StaleRow[]
  readonly low: readonly LowRow[]
  /** How much of everything there is, so that an empty place can teach. */
  readonly counts: {
    readonly sites: number
    readonly equipment: number
    readonly products: number
    readonly jobs: number
  }
}

export interface RunningApplication {
  readonly jobId: string
  /** Its place in the visit, from 1. */
  readonly place: number
  readonly applicationId: string
  readonly site: string
  readonly purpose: string
  readonly products: string
  readonly startedAt: string
}

/** The last of one product on one area, with what it was and whether it is planned again. */
export interface LastLaid extends LastOnArea {
  readonly applicationId: string
  /** How that application was split: a first date has its second due. */
  readonly split: Split
  /** The job that is already planned for it. */
  readonly jobId: string | null
}
export type DueRow = DueVisit<LastLaid>

export interface ReentryRow {
  readonly applicationId: string
  readonly site: string
  readonly products: string
  readonly until: string
}
/** A treated lawn that still waits for water; depth in m. */
export interface WaterRow {
  readonly applicationId: string
  readonly site: string
  readonly products: string
  readonly state: 'waiting' | 'late'
  readonly left: number
  readonly until: string | null
}
export interface LookRow {
  readonly applicationId: string
  readonly site: string
  readonly products: string
  /** YYYY-MM-DD */
  readonly due: string
}
type StaleRow = StaleMachine
export interface LowRow {
  readonly productId: string
  readonly product: string
  readonly dimension: 'mass' | 'volume'
  readonly amount: number
}

/** One thing the palette can open. */
export interface Found {
  readonly kind: 'site' | 'area' | 'equipment' | 'product' | 'job' | 'record'
  readonly to: string
  readonly label: string
  readonly more: string
  /** YYYY-MM-DD, blank where it has none. */
  readonly day: string
}

export type SeasonDue = CrewDue

export interface JobOutlook {
  readonly jobId: string
  /** Whether there is an hour today that fits its labels. */
  readonly fits: boolean
  readonly words: string
}
