import type { UnitSystem } from '../quantity/systems'
import type { LabelLimits, LabelledProduct, Rate } from '../label/label'
import type { Quantity } from '../quantity/quantity'
import type { AmountUnit, AreaUnit, CarrierUnit, MassUnit, VolumeUnit } from '../quantity/units'

/** A rate of one area's own; with limits where it is printed on another line of the label. */
export interface AreaRate {
  readonly id: string
  readonly rate: Rate
  readonly limits?: LabelLimits
}

export interface PlanArea {
  readonly id: string
  readonly name?: string
  readonly size: Quantity<AreaUnit>
  /** Rates of this area's own, by product; the others take the product's. */
  readonly rates?: readonly AreaRate[]
}

export interface PlanProduct extends LabelledProduct {
  /** The smallest step of the scale, cup or jug that measures this product. */
  readonly measureStep?: Quantity<AmountUnit>
}

export interface SpreadMethod {
  readonly kind: 'spread'
  readonly passes: number
  /** Weighed in on top of the amount, because the last of the hopper spreads badly. */
  readonly reserve?: Quantity<MassUnit>
}

export const LOAD_STYLES = ['full-then-part', 'equal', 'by-area'] as const
export type LoadStyle = (typeof LOAD_STYLES)[number]

export interface SprayMethod {
  readonly kind: 'spray'
  /** Finished spray on the ground, products included. */
  readonly carrier: Quantity<CarrierUnit>
  readonly tank: Quantity<VolumeUnit>
  readonly loads: LoadStyle
  /** What never leaves the hose and boom. */
  readonly dead?: Quantity<VolumeUnit>
  /** The smallest volume the pump can agitate. */
  readonly agitate?: Quantity<VolumeUnit>
}

/** One application: a dry product, or one tank mix, on its areas. */
export interface PlanRequest {
  readonly areas: readonly PlanArea[]
  readonly products: readonly PlanProduct[]
  readonly method: SpreadMethod | SprayMethod
  /** The units in which nutrients are told; the trade's own where nobody says. */
  readonly units?: UnitSystem
}
