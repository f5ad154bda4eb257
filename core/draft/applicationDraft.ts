import type { DropRow } from '../calibration/dropSize'
import type { SpreaderCourse, SprayerCourse } from '../calibration/courseNote'
import type { CompassPoint } from '../ground/compass'
import type { FieldNotes } from '../ground/fieldNotes'
import type { Point } from '../ground/plane'
import type { TurfState } from '../ground/turfStates'
import type { Form, RateBasis } from '../label/label'
import type { ProductDocument } from '../label/productDocument'
import type { LoadStyle } from '../plan/planRequest'
import type { Entered } from '../quantity/entered'
import type {
  AmountUnit,
  ContentUnit,
  DensityUnit,
  LengthUnit,
  MassUnit,
  RateUnit,
  SpeedUnit,
  StopwatchUnit,
  TemperatureUnit,
  TimeUnit,
  VolumeUnit,
} from '../quantity/units'

/**
 * One application as a person entered it: every field is the text typed and the unit it stood in, blank where
 * nothing was typed. This is what is saved; figures are computed from it again by whoever reads it.
 */
export interface ApplicationDraft {
  readonly schema: 1 | 2
  readonly lawns: readonly AreaDraft[]
  readonly products: readonly ProductDraft[]
  readonly method: 'spread' | 'spray'
  readonly spread: SpreadDraft
  readonly spray: SprayDraft
  /** What the turf and the weather are expected to be. */
  readonly day?: ConditionsDraft
  /** Where it belongs and what follows it. */
  readonly fate?: AftercareDraft
  /** What of its lanes was overruled by hand; absent: nothing. */
  readonly lanes?: LanesDraft
}

/** Choices about lanes; blank: the tool's own. Places lie on the site's plan. */
export interface LanesDraft {
  /** Lane spacing, where it is not the calibrated width. */
  readonly apart: Entered<LengthUnit>
  /** Laps round edges and exclusions. */
  readonly headers: (typeof HEADER_CHOICES)[number]
  readonly shutSide: '' | 'left' | 'right'
  readonly aim: (typeof AIM_CHOICES)[number]
  /** Which way the slope falls, for lanes along its contour. */
  readonly downhill: '' | CompassPoint
  readonly turn: Entered<StopwatchUnit>
  readonly truck?: Point
  /** From open water, where it is not the label's. */
  readonly buffer: Entered<LengthUnit>
  /** From planting; no label names one. */
  readonly bedBuffer?: Entered<LengthUnit>
  readonly windFrom: '' | CompassPoint
  readonly wind: Entered<SpeedUnit>
  readonly lawns: readonly LawnLanesDraft[]
}
export interface LawnLanesDraft {
  readonly id: string
  /** Degrees clockwise from north, as typed or dragged. */
  readonly direction: string
  readonly start?: Point
}
export const HEADER_CHOICES = ['', '0', '1', '2', '3'] as const
export const AIM_CHOICES = ['', 'fewest turns', 'longest runs', 'contour'] as const

export interface ConditionsDraft {
  readonly turf: TurfState
  readonly air: Entered<TemperatureUnit>
  readonly soil: Entered<TemperatureUnit>
}

export const FATES = ['', 'soil', 'leaf'] as const

export interface AftercareDraft {
  readonly where: (typeof FATES)[number]
  /** Before the next application of the visit. */
  readonly wait: Entered<TimeUnit>
  /** What waters it in, or which sprinkler run is cancelled. */
  readonly water: string
}

/** A rate of one lawn's own. */
export interface OwnRate {
  readonly product: string
  readonly rate: Entered<RateUnit>
  /**
   * The label's line it is printed on, and that line's limits; absent: the limits of the product's own line.
   */
  readonly line?: string
  readonly low?: Entered<RateUnit>
  readonly high?: Entered<RateUnit>
  readonly most?: Entered<RateUnit>
}

/**
 * A label's amount over two dates: one total shared, or the listed rate each time; nobody guesses which. The
 * second date is another job.
 */
export const SPLITS = ['', 'share', 'repeat', 'share-second', 'repeat-second'] as const
export type Split = (typeof SPLITS)[number]

/** The second date of what was begun; nothing for what was no first date. */
export const secondOf = (split: Split | undefined): Split =>
  split === 'share' || split === 'repeat' ? `${split}-second` : ''

/** What a piece of the document was copied from; the copy stands until somebody replans. */
interface Source {
  readonly id: string
  readonly version: number
}

export const TREATED = ['yes', 'no', 'check'] as const
export type Treated = (typeof TREATED)[number]

export interface AreaDraft extends FieldNotes {
  /** The saved area's own id where it came from one. */
  readonly id: string
  readonly name: string
  /** A check plot stays untreated on purpose, to show what the product did. */
  readonly treated: Treated
  readonly own?: readonly OwnRate[]
  readonly source?: Source
}

export interface ProductDraft {
  readonly id: string
  readonly name: string
  /** As written on the label; it goes on the record. */
  readonly registration: string
  readonly form: Form
  readonly rate: Entered<RateUnit>
  readonly basis: RateBasis
  readonly low: Entered<RateUnit>
  readonly high: Entered<RateUnit>
  readonly most: Entered<RateUnit>
  /** What the label's limits count; absent: product. */
  readonly limitBasis?: RateBasis
  readonly density: Entered<DensityUnit>
  readonly analysis: Readonly<Record<'n' | 'p2o5' | 'k2o' | 'fe' | 'slowN', Entered<'%'>>>
  /** `group` is the mode-of-action group as printed. */
  readonly active: { readonly name: string; readonly content: Entered<ContentUnit>; readonly group?: string }
  /** Nobody goes back before this; blank or absent: once dry. */
  readonly reentry?: Entered<TimeUnit>
  /** The label's longest interval before a repeat. */
  readonly repeat?: Entered<TimeUnit>
  /** How long it works by its label: what a day is covered to. */
  readonly lasts?: Entered<TimeUnit>
  /** `line` is the label's rate line it was taken from. */
  readonly source?: Source & { readonly line: string }
  readonly step: Entered<AmountUnit>
  readonly split?: Split
  /** As on the label: pH of the finished mix, and household measures weighed once. */
  readonly ph?: ProductDocument['ph']
  readonly measures?: ProductDocument['measures']
}

export interface SpreadDraft {
  readonly equipment: string
  readonly passes: number
  /** Repeated light passes: as many as the setting needs until the weighed amount is out. */
  readonly until?: '' | 'out'
  readonly reserve: Entered<MassUnit>
  /** The speed walked today, if it is not the calibration's. */
  readonly speedToday: Entered<SpeedUnit>
  /** Setting of the day where it is not the calibrated one: read off the spreader's curve. */
  readonly dial?: string
  readonly calibration: SpreaderCourse & { readonly source?: Source }
  readonly source?: Source
}

export interface SprayDraft {
  readonly equipment: string
  readonly tank: Entered<VolumeUnit>
  readonly loads: LoadStyle
  /** The nozzle set that was on when the job took the sprayer. */
  readonly nozzles?: {
    readonly what: string
    readonly fitted: string
    readonly drops?: readonly DropRow[]
  }
  readonly dead: Entered<VolumeUnit>
  readonly agitate: Entered<VolumeUnit>
  readonly speedToday: Entered<SpeedUnit>
  readonly calibration: SprayerCourse & { readonly source?: Source }
  /** One mix with other applications of the day that are sprayed alike. */
  readonly shared?: '' | 'day'
  readonly source?: Source
}
