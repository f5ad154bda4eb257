import type { Entered } from '../quantity/entered'
import type { AreaUnit, LengthUnit } from '../quantity/units'
import type { Instrument } from './netArea'
import type { LengthName, ShapeKind } from './shapes'

/** One shape of a lawn as it was written down. */
export interface LawnPart {
  readonly id: string
  readonly sign: 'add' | 'subtract'
  readonly shape: ShapeKind | 'known'
  readonly lengths: Readonly<Partial<Record<LengthName, Entered<LengthUnit>>>>
  readonly size: Entered<AreaUnit>
  /** What is taken away, in words: bed, house, seeded patch. */
  readonly what?: string
  /** Last day, YYYY-MM-DD, on which it is taken away; blank or absent for good. */
  readonly until?: string
}

/** How a piece of ground was measured, kept as written so that it can be checked and computed again. */
export interface FieldNotes {
  readonly instrument: Instrument
  readonly parts: readonly LawnPart[]
  /** Per cent; when given, the sloped surface is what is dosed. */
  readonly slope?: Entered<'%'>
}

/** The shapes that count on a day: an exclusion whose last day has passed is lawn again. */
export const lapsed = ({ sign, until }: LawnPart, day: string): boolean => sign === 'subtract' && until !== undefined && until !== '' && until < day
