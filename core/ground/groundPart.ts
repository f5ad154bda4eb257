import type { AreaUnit } from '../quantity/units'
import type { Ring } from './plane'

/**
 * One piece of a lawn as it was read: what it comes to alone, how wrong it may be, and its shape to scale.
 */
export interface GroundPart {
  readonly id: string
  readonly sign: 'add' | 'subtract'
  /** What it is, as a person reads it. */
  readonly name: string
  /** The measure it was taken in; sizes are quoted in it. */
  readonly unit: AreaUnit
  /** Flat area alone, m2. */
  readonly flat: number
  /**
   * One standard deviation of the scale of its lengths, as a share, and what shares that error: all ground
   * measured with it is wrong the same way.
   */
  readonly scale?: { readonly source: string; readonly words: string; readonly share: number }
  /** Variance of its independent readings, m4. */
  readonly variance: number
  /** Its line of the working. */
  readonly line: () => string
  /** To scale: on the plan itself for an outline, about its own zero for dimensions. */
  readonly rings: readonly Ring[]
  /** An outline lies on the plan where it is; dimensions can be put anywhere. */
  readonly seat: 'plan' | 'schematic'
}
