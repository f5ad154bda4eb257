import type { Rate } from '../../label/label'
import type { Quantity } from '../../quantity/quantity'
import type { AmountUnit, AreaUnit, CarrierUnit } from '../../quantity/units'
import type { RunDetails } from '../runEvent'

/** A moment as an earlier record tells it: exactly, or by a day and maybe a time on the place's own clock. */
export type Moment =
  | { readonly instant: string }
  /** `day` YYYY-MM-DD, `time` HH:MM or blank. */
  | { readonly day: string; readonly time: string }

/** One product of it, and how much of it went down. */
export interface EarlierProduct {
  readonly name: string
  readonly registration: string
  readonly active: string
  readonly group: string
  readonly used: Quantity<AmountUnit>
  /** As product; absent where nobody noted it, or it counted something else. */
  readonly planned?: Rate
}

/** An application that was carried out and noted down elsewhere. */
export interface EarlierWork {
  /** The record's own id. */
  readonly id: string
  /** Line of the file it begins on. */
  readonly line: number
  readonly started?: Moment
  readonly finished: Moment
  readonly site: string
  readonly lawns: readonly string[]
  readonly treated: Quantity<AreaUnit>
  readonly products: readonly EarlierProduct[]
  /** Absent: spread dry. */
  readonly carrier?: Quantity<CarrierUnit>
  readonly equipment: string
  readonly calibration: string
  readonly details: RunDetails
  /** What of it could not be taken over. */
  readonly notes: readonly string[]
}
