import type { Entered } from '../quantity/entered'
import type { LengthUnit, MassUnit, SpeedUnit, VolumeUnit } from '../quantity/units'

/** A known-area calibration as written down: a taped course and what each run over it took. */
interface CourseNote {
  /** Day of the calibration, YYYY-MM-DD; blank until a run is typed. */
  readonly on: string
  readonly length: Entered<LengthUnit>
  readonly width: Entered<LengthUnit>
  readonly speed: Entered<SpeedUnit>
}

export interface SpreaderCourse extends CourseNote {
  readonly setting: string
  readonly product: string
  readonly runs: readonly { readonly id: string; readonly start: Entered<MassUnit>; readonly left: Entered<MassUnit> }[]
}

export interface SprayerCourse extends CourseNote {
  readonly runs: readonly { readonly id: string; readonly used: Entered<VolumeUnit> }[]
}
