import type { Entered } from '../quantity/entered'
import type {
  AreaUnit,
  LengthUnit,
  MassUnit,
  PressureUnit,
  SpeedUnit,
  StopwatchUnit,
  VolumeUnit,
} from '../quantity/units'

/**
 * Ways to calibrate a spreader: a taped course, what a tray or bag caught over one, what it caught in a time,
 * what a job took.
 */
export const SPREAD_METHODS = ['known area', 'catch', 'timed catch', 'job'] as const
export type SpreadMethod = (typeof SPREAD_METHODS)[number]
/** Ways to calibrate a sprayer (trade.md 4). */
export const SPRAY_METHODS = [
  'refill',
  'drain',
  'nozzle catch',
  '1/128 acre',
  'one nozzle',
  'hose-end',
  'job',
] as const
export type SprayMethod = (typeof SPRAY_METHODS)[number]

/** Speed from a taped length walked or driven more than once. */
export interface TimedCourse {
  readonly length: Entered<LengthUnit>
  readonly times: readonly Entered<StopwatchUnit>[]
}

/**
 * A calibration as written down. Notes of another method than the one chosen are kept, so that a change of
 * mind loses nothing; `by` is absent in notes made before there was a choice: known area.
 */
interface CalibrationCourse {
  /** Day of the calibration, YYYY-MM-DD; blank until a run is typed. */
  readonly on: string
  readonly length: Entered<LengthUnit>
  /**
   * Swath of a spreader; of a sprayer the sprayed width, or the nozzle spacing where single nozzles are
   * caught.
   */
  readonly width: Entered<LengthUnit>
  /** Typed; a timed course goes before it. */
  readonly speed: Entered<SpeedUnit>
  readonly timed?: TimedCourse
}

export interface SpreadRun {
  readonly id: string
  readonly start: Entered<MassUnit>
  readonly left: Entered<MassUnit>
  readonly caught?: Entered<MassUnit>
  readonly time?: Entered<StopwatchUnit>
}

export interface SpreaderCourse extends CalibrationCourse {
  readonly by?: SpreadMethod
  readonly setting: string
  readonly product: string
  /** Ground of a job and the passes over it. */
  readonly ground?: Entered<AreaUnit>
  readonly passes?: string
  /** Smallest step of the scale; blank: not said. */
  readonly step?: Entered<MassUnit>
  readonly runs: readonly SpreadRun[]
}

export interface SprayRun {
  readonly id: string
  /** What refilled it, what one nozzle was caught at, or what the bottle lost. */
  readonly used: Entered<VolumeUnit>
  readonly start?: Entered<VolumeUnit>
  readonly left?: Entered<VolumeUnit>
  /** What the course took, or how long the bottle was sprayed. */
  readonly time?: Entered<StopwatchUnit>
}

export interface SprayerCourse extends CalibrationCourse {
  readonly by?: SprayMethod
  readonly pressure?: Entered<PressureUnit>
  /** The nozzle set that was on, or the orifice of a hose-end head. */
  readonly nozzles?: string
  /** A hose-end head draws each product differently; blank elsewhere: water. */
  readonly product?: string
  /** Every nozzle caught for the same time. */
  readonly catching?: {
    readonly time: Entered<StopwatchUnit>
    readonly catches: readonly Entered<VolumeUnit>[]
  }
  /** How many nozzles work beside the one that was caught; blank: one. */
  readonly count?: string
  /** Ground covered in so long with a hose-end bottle. */
  readonly covered?: { readonly ground: Entered<AreaUnit>; readonly time: Entered<StopwatchUnit> }
  /** Ground of a job. */
  readonly ground?: Entered<AreaUnit>
  /** Smallest step of the jug or the scale; blank: not said. */
  readonly step?: Entered<VolumeUnit>
  readonly runs: readonly SprayRun[]
}

export const spreadMethodOf = ({ by }: SpreaderCourse): SpreadMethod => by ?? 'known area'
export const sprayMethodOf = ({ by }: SprayerCourse): SprayMethod => by ?? 'refill'
