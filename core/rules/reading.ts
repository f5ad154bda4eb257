import type { PlannedGroup } from '../plan/planGroup'
import type { CalibrationToday } from '../calibration/calibrationToday'
import type { LibraryCalibration } from '../calibration/calibrationInForce'
import type { TrustReason } from '../calibration/calibrationTrust'
import type { ApplicationDraft } from '../draft/applicationShape'
import type { DialAnswer } from '../draft/dial'
import type { LibraryArea, LibraryProduct } from '../draft/fromLibrary'
import type { MeasuredArea } from '../draft/measuredArea'
import type { House } from '../house'
import type { HeavyMix } from '../plan/heavyMix'
import type { LightPasses } from '../plan/lightPasses'
import type { Plan } from '../plan/plan'
import type { PlanProduct, PlanRequest } from '../plan/planRequest'
import type { LedgerRow, PlannedRow } from '../season/ledger'
import type { DayConditions } from '../weather/dayConditions'
import type { LocalRule, MixNote } from './localRule'

/** What a crew keeps, as rules look at it. */
export interface RuleLibrary {
  readonly areas: readonly LibraryArea[]
  readonly products: readonly LibraryProduct[]
  /** Of the machine that the application names; undefined where it is not a saved one. */
  readonly calibrations: readonly LibraryCalibration[] | undefined
  readonly local: readonly LocalRule[]
  readonly mixes: readonly MixNote[]
  /** What machines last held, by the records; absent: nobody knows. */
  readonly held?: readonly HeldByMachine[]
}

/** What a machine was last filled with. */
export interface HeldByMachine {
  readonly equipmentId: string
  /** Day, YYYY-MM-DD, and ISO instant at which that was out. */
  readonly on: string
  readonly at: string
  readonly products: readonly string[]
  /** Products of it that are saved. */
  readonly sourceIds: readonly string[]
  /** ISO instant of the last clean-out; blank where nobody noted one. */
  readonly cleaned: string
}

/** What lies on the areas of a job, and what else is to go down on them. */
interface RuleLedger {
  readonly laid: readonly LedgerRow[]
  readonly planned: readonly PlannedRow[]
}

/** One application as it was read, with all that rules look at; the chain fills it in. */
export interface RuleReading {
  readonly draft: ApplicationDraft
  /** YYYY-MM-DD of the work. */
  readonly day: string
  readonly house: House
  readonly areas: readonly MeasuredArea[]
  readonly products: readonly (PlanProduct | undefined)[]
  readonly calibration: CalibrationToday | undefined
  readonly trust: readonly TrustReason[]
  readonly request: PlanRequest | undefined
  /** Its areas by the rates they take. */
  readonly groups: readonly PlannedGroup[]
  readonly plan: Plan | undefined
  readonly wantedPerPass: number | undefined
  readonly light: LightPasses | undefined
  readonly heavy: HeavyMix | undefined
  readonly dial: DialAnswer | undefined
  /** All applications of the visit in order, and the place of this one. */
  readonly visit: { readonly drafts: readonly ApplicationDraft[]; readonly index: number }
  /** Undefined until it has come. */
  readonly library: RuleLibrary | undefined
  readonly ledger: RuleLedger
  /** What the site's station says of the day; undefined without a station or beyond its forecast. */
  readonly weather: DayConditions | undefined
}
