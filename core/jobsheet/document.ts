import type { Instrument } from '../ground/netArea'
import type { LengthName, ShapeKind } from '../ground/shapes'
import type { Form, RateBasis } from '../label/label'
import type { LoadStyle } from '../plan/planRequest'
import type { Entered } from '../quantity/entered'
import type { AmountUnit, AreaUnit, ContentUnit, DensityUnit, LengthUnit, MassUnit, RateUnit, SpeedUnit, VolumeUnit } from '../quantity/units'

/**
 * One application as a person entered it: every field is the text typed and the unit it stood in, blank where nothing was typed.
 * This is what is saved; figures are computed from it again by whoever reads it.
 */
export interface ApplicationDocument {
  readonly schema: 1
  readonly lawns: readonly LawnNote[]
  readonly products: readonly ProductNote[]
  readonly method: 'spread' | 'spray'
  readonly spread: SpreadNote
  readonly spray: SprayNote
}

export interface LawnNote {
  readonly id: string
  readonly name: string
  readonly treated: 'yes' | 'no'
  readonly instrument: Instrument
  readonly parts: readonly LawnPart[]
}

export interface LawnPart {
  readonly id: string
  readonly sign: 'add' | 'subtract'
  readonly shape: ShapeKind | 'known'
  readonly lengths: Readonly<Partial<Record<LengthName, Entered<LengthUnit>>>>
  readonly size: Entered<AreaUnit>
}

export interface ProductNote {
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
  readonly density: Entered<DensityUnit>
  readonly analysis: Readonly<Record<'n' | 'p2o5' | 'k2o' | 'fe' | 'slowN', Entered<'%'>>>
  readonly active: { readonly name: string; readonly content: Entered<ContentUnit> }
  readonly step: Entered<AmountUnit>
}

interface CourseNote {
  /** Day of the calibration, YYYY-MM-DD; blank until a run is typed. */
  readonly on: string
  readonly length: Entered<LengthUnit>
  readonly width: Entered<LengthUnit>
  readonly speed: Entered<SpeedUnit>
}

export interface SpreadNote {
  readonly equipment: string
  readonly passes: number
  readonly reserve: Entered<MassUnit>
  /** The speed walked today, if it is not the calibration's. */
  readonly speedToday: Entered<SpeedUnit>
  readonly calibration: CourseNote & {
    readonly setting: string
    readonly product: string
    readonly runs: readonly { readonly id: string; readonly start: Entered<MassUnit>; readonly left: Entered<MassUnit> }[]
  }
}

export interface SprayNote {
  readonly equipment: string
  readonly tank: Entered<VolumeUnit>
  readonly loads: LoadStyle
  readonly dead: Entered<VolumeUnit>
  readonly agitate: Entered<VolumeUnit>
  readonly speedToday: Entered<SpeedUnit>
  readonly calibration: CourseNote & {
    readonly runs: readonly { readonly id: string; readonly used: Entered<VolumeUnit> }[]
  }
}
