import type { WorkedApplication } from '../job/workOutJob'
import type { Role } from '../people/roles'
import type { Plan } from '../plan/plan'
import type { PlanRequest } from '../plan/planRequest'
import type { Quantity } from '../quantity/quantity'
import type { AmountUnit, AreaUnit } from '../quantity/units'
import type { CarriedBody, SeenPlan } from './carriedShape'
import type { CommonStop } from './common/commonStop'
import type { ConditionLimits } from '../conditions/conditionLimits'
import type { Used } from './outcome'
import type { Tolerance } from './verdict'

/** What of a label goes on the record: names as written, and what counts from the day it was applied. */
export interface FrozenLabel {
  readonly productId: string
  readonly name: string
  readonly registration: string
  /** The saved product it came from. */
  readonly sourceId?: string
  readonly active?: string
  readonly group?: string
  /** Hours nobody goes back; absent where the label only says once dry. */
  readonly reentryHours?: number
  /** Days until a repeat at the latest. */
  readonly repeatDays?: number
  /** Days it works, by its label; absent where the label does not say. */
  readonly lastsDays?: number
}

/** The plan as it stood when the run began; never recomputed afterwards. */
export interface FrozenPlan {
  readonly coreVersion: string
  readonly site: string
  readonly equipment: string
  readonly calibration: string
  readonly labels: readonly FrozenLabel[]
  /** The house's tolerance on that day; the default where none was kept. */
  readonly tolerance?: Tolerance
  /** The saved site. */
  readonly siteId?: string
  readonly request: PlanRequest
  readonly plan: Plan
  /** Everything else that was shown of the application; absent where it was frozen before version 0.6. */
  readonly worked?: Omit<WorkedApplication, 'request' | 'plan' | 'nitrogen' | 'yearLeft' | 'cost'>
  /** Lawns left untreated on purpose. */
  readonly checkPlots?: readonly string[]
  /** What labels and house ask of the hour and of the water after it; absent where no label told. */
  readonly limits?: ConditionLimits
  /** Its part in a mix that serves several sites. */
  readonly common?: CommonStop
  /** What was gone by where the run began without a network. */
  readonly seen?: SeenPlan
  /** Entered once it was done: what would have stopped it is told, not asked. */
  readonly afterwards?: true
  /**
   * Taken over from records kept elsewhere: with the rates that were planned, or, where none were noted, with
   * those that were used, by which nothing is judged.
   */
  readonly earlier?: 'planned' | 'as used'
}

/** Who did it and under what conditions, as written down. */
export interface RunDetails {
  readonly by: string
  readonly licence: string
  readonly target: string
  readonly weather: string
  readonly remarks: string
}

export const DETAIL_NAMES = ['by', 'licence', 'target', 'weather', 'remarks'] as const

interface Because {
  readonly reason: string
}
interface DetailCorrection extends Because {
  readonly field: keyof RunDetails
  readonly now: string
}
interface TreatedCorrection extends Because {
  readonly field: 'treated'
  readonly now: Quantity<AreaUnit>
}
export interface AmountCorrection extends Because {
  readonly field: 'left' | 'made' | `putIn.${string}` | `apart.${number}`
  readonly now: Quantity<AmountUnit>
}

/** A correction names one entry, its new value and the reason; the entry it corrects stays. */
export type Correction = DetailCorrection | TreatedCorrection | AmountCorrection

/** A person as they were when they wrote something down. */
export interface EventPerson {
  readonly id: string
  readonly name: string
  readonly licence: string
  /** Last day of the licence, or blank. */
  readonly licenceEnds: string
  readonly role: Role
}

/** Where and in which order an event was written down: ordered by (counter, device), never by the clock. */
interface EventStamp {
  readonly id: string
  readonly deviceId: string
  /** Counts this device's events of this application from 1; a hole in it is a lost event. */
  readonly sequence: number
  /** Lamport counter: one more than the highest the device had seen. */
  readonly counter: number
  /** The organization's clock, ISO instant; shown, never sorted by. */
  readonly at: string
  /** The device's own time, where its clock was found to be off; ISO instant. */
  readonly deviceAt?: string
  /** Who was signed in when it was sent; absent where nobody is asked to sign in. */
  readonly person?: EventPerson
}

export type RunEventBody =
  | CarriedBody
  | { readonly kind: 'planned'; readonly payload: FrozenPlan }
  | { readonly kind: 'started'; readonly payload: Readonly<Record<string, never>> }
  | { readonly kind: 'used'; readonly payload: Used }
  | { readonly kind: 'finished'; readonly payload: RunDetails }
  | { readonly kind: 'corrected'; readonly payload: Correction }
  /** A licensed person stands by what another carried out: the server puts the name in. */
  | { readonly kind: 'countersigned'; readonly payload: Readonly<Record<string, never>> }

export type RunEvent = EventStamp & RunEventBody
