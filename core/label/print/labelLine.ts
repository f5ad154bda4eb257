import type { GrassName } from '../../ground/grasses'
import type { Quantity } from '../../quantity/quantity'
import type { AmountUnit, AreaUnit, CarrierUnit, LengthUnit, RateUnit } from '../../quantity/units'
import type { RateBasis } from '../label'
import type { YearPeriod } from '../productDocument'

/** Places in the printed text, from and to. */
export type Places = readonly (readonly [number, number])[]

/** One rate line of a printed label with all that belongs to it; only what was understood is there. */
export interface PrintedLine {
  readonly rate?: Quantity<RateUnit>
  readonly low?: Quantity<RateUnit>
  readonly high?: Quantity<RateUnit>
  readonly basis: RateBasis
  readonly mostPerApplication?: { readonly rate: Quantity<RateUnit>; readonly basis: RateBasis }
  readonly mostPerYear?: { readonly rate: Quantity<RateUnit>; readonly basis: RateBasis }
  readonly period?: Exclude<YearPeriod, ''>
  readonly timesPerYear?: number
  readonly inARow?: number
  /** Days. */
  readonly repeatFrom?: number
  readonly repeatTo?: number
  readonly carrierFrom?: Quantity<CarrierUnit>
  readonly carrierTo?: Quantity<CarrierUnit>
  /** Hours. */
  readonly reentry?: number
  readonly rainfast?: number
  readonly waterDepth?: Quantity<LengthUnit>
  readonly waterWithin?: number
  readonly bagCovers?: { readonly amount: Quantity<AmountUnit>; readonly area: Quantity<AreaUnit> }
  readonly target?: string
  readonly grasses?: readonly GrassName[]
  readonly from: Places
}

/** What is asked back, with the words it stands in. */
export interface PrintedAsk {
  readonly text: string
  readonly question: string
  readonly from: Places
}

/** Words that nothing was made of: shown, never dropped. */
export interface PrintedRest {
  readonly text: string
  readonly from: Places
}

export interface ReadLabel {
  readonly lines: readonly PrintedLine[]
  readonly asks: readonly PrintedAsk[]
  readonly notUnderstood: readonly PrintedRest[]
}
