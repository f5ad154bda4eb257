import type { Point } from '../ground/plane'
import type { Quantity } from '../quantity/quantity'
import type { AmountUnit, AreaUnit, LengthUnit, MassUnit, SpeedUnit, VolumeUnit } from '../quantity/units'
import type { ReadingWay } from './corrections/reading'
import type { GateFinding, GateSubject } from './gate/gateFindings'
import type { GateReadings } from './gate/gateReadings'

/** Go or no-go: what was read, what spoke against it, and why somebody went all the same. */
export interface GateEntry {
  readonly decision: 'go' | 'wait'
  readonly readings: GateReadings
  readonly findings: readonly GateFinding[]
  /** What was not read. */
  readonly unread: readonly GateSubject[]
  /** Why it went out against a stop; blank where nothing stopped. */
  readonly reason: string
}

/**
 * What the scale or the jug really said. Load 0 is the hopper; charges of rates of their own count from 1.
 */
export interface MeasuredEntry {
  readonly load: number
  readonly productId: string
  readonly amount: Quantity<AmountUnit>
}

/** A rest found on the way of dry work. */
export interface CheckedEntry {
  readonly pass: number
  /** Of this pass that is behind, above 0, up to 1. */
  readonly share: number
  readonly left: Quantity<MassUnit>
  readonly way: ReadingWay
}

/** The ground that a load of spray really covered, and what was made of it. */
export interface CoveredEntry {
  readonly load: number
  readonly covered: Quantity<AreaUnit>
  /**
   * Mix the rest for the carrier as it came, walk so that the planned one comes back, or leave all as it is.
   */
  readonly take: 'mix' | 'pace' | 'plan'
}

/** Spray of a common mix that was in the tank on arrival. */
export interface TankEntry {
  readonly found: Quantity<VolumeUnit>
}

/** Dial or pace from here on. */
export interface SettingEntry {
  readonly dial?: string
  readonly pace?: Quantity<SpeedUnit>
}

/** Ground beyond the planned areas that was treated with what was left; its product is booked there. */
export interface StripEntry {
  readonly id: string
  readonly name: string
  readonly size: Quantity<AreaUnit>
  /** Product out of a hopper, or finished spray. */
  readonly amount: Quantity<MassUnit | VolumeUnit>
}

export const MISHAPS = ['spill', 'breakdown', 'weather', 'people', 'other'] as const
export interface MishapEntry {
  readonly what: (typeof MISHAPS)[number]
  readonly words: string
}

export const WATERED_FROM = ['irrigation', 'rain'] as const
/** Watered in, as a gauge or a timer said. */
export interface WateredEntry {
  readonly from: (typeof WATERED_FROM)[number]
  readonly depth: Quantity<LengthUnit>
}

export interface PhotoEntry {
  readonly attachmentId: string
  readonly words: string
}

/** A weed or a patch that was treated, on the plan of the lawns, m. */
export interface SpotEntry {
  readonly id: string
  readonly at: Point
}

/** When it really was, where it is entered afterwards. ISO instants. */
export interface TimedEntry {
  /** Absent: nobody noted when it began. */
  readonly from?: string
  readonly to: string
  /** Nobody noted more than the day: the hour is no figure of anybody's. */
  readonly only?: 'day'
}

/** A mark drawn by hand, as the path of an SVG picture, beside the typed name. */
export interface SignedEntry {
  readonly name: string
  readonly mark: string
}

export const LOOK_RESULTS = ['', 'worked', 'partly', 'failed', 'harmed'] as const
/** A dated look at what it did. */
export interface LookEntry {
  readonly on: string
  /** Quality of the turf, 1 to 9; beside it that of the untreated strip. */
  readonly rating?: number
  readonly untreated?: number
  /** Across the patch that is watched. */
  readonly patch?: Quantity<LengthUnit>
  readonly result: (typeof LOOK_RESULTS)[number]
  readonly words: string
  readonly photo?: string
  /** Day to look again; absent: that is all. */
  readonly again?: string
}

/** What is written down while a run is carried out, and what is seen of it afterwards. */
export type CarriedBody =
  | { readonly kind: 'gate'; readonly payload: GateEntry }
  | { readonly kind: 'stepped'; readonly payload: { readonly step: string; readonly done: 'yes' | 'no' } }
  | { readonly kind: 'measured'; readonly payload: MeasuredEntry }
  | { readonly kind: 'checked'; readonly payload: CheckedEntry }
  | { readonly kind: 'covered'; readonly payload: CoveredEntry }
  | { readonly kind: 'tank'; readonly payload: TankEntry }
  | { readonly kind: 'set'; readonly payload: SettingEntry }
  | { readonly kind: 'paused'; readonly payload: { readonly reason: string } }
  | { readonly kind: 'resumed'; readonly payload: Readonly<Record<string, never>> }
  | { readonly kind: 'strip'; readonly payload: StripEntry }
  | { readonly kind: 'mishap'; readonly payload: MishapEntry }
  | { readonly kind: 'watered'; readonly payload: WateredEntry }
  | { readonly kind: 'noted'; readonly payload: { readonly words: string } }
  | { readonly kind: 'photo'; readonly payload: PhotoEntry }
  | { readonly kind: 'spot'; readonly payload: SpotEntry }
  | { readonly kind: 'timed'; readonly payload: TimedEntry }
  /** What was weighed or measured back is a calibration of the machine too. */
  | { readonly kind: 'calibrates'; readonly payload: Readonly<Record<string, never>> }
  | { readonly kind: 'signed'; readonly payload: SignedEntry }
  | { readonly kind: 'looked'; readonly payload: LookEntry }
