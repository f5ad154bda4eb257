import type { MeasuredTool } from '#core/label/productShape'
import type { Quantity } from '#core/quantity/quantity'
import type { DensityUnit } from '#core/quantity/units'

/**
 * A product of a load as its card tells it: name, step of the scale, household measures and the density
 * between them.
 */
export interface MixedProduct {
  readonly id: string
  readonly name: string
  readonly step: Quantity | undefined
  readonly measures: readonly MeasuredTool[]
  readonly density: Quantity<DensityUnit> | undefined
}
