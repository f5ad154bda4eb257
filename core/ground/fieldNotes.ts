import type { Entered } from '../quantity/entered'
import type { AngleUnit, AreaUnit, LengthUnit, SpanUnit } from '../quantity/units'
import type { Instrument } from './instruments'
import type { MeasuringRule, ReadingName } from './methods/method'
import type { MethodName } from './methods/methods'
import type { PictureScale } from './pictureScale'
import type { Place, Ring } from './plane'
import type { ToolNote } from './toolCourse'

/** An instrument, and the tool's own calibration where it has one. */
export interface MeasuredWith {
  readonly instrument: Instrument
  readonly tool?: ToolNote
}

/** How an outline came onto the plan. */
export const OUTLINE_SOURCES = ['drawn', 'walked', 'traced', 'imported'] as const

/** Corners on the site's plan, with what is known of how well they are placed. */
export interface OutlineNote {
  readonly from: (typeof OUTLINE_SOURCES)[number]
  readonly points: Ring
  /** One standard deviation of a position fix; for walked and imported outlines. */
  readonly pointError: Entered<LengthUnit>
  /** For a traced outline: the scale of its picture as it was when traced. */
  readonly picture?: PictureScale & { readonly id: string }
  /** Where it comes from and what was done to it, in words: file, day, corners before and after. */
  readonly origin: string
}

/** One piece of a lawn as it was written down. */
export interface LawnPart {
  readonly id: string
  readonly sign: 'add' | 'subtract'
  readonly shape: MethodName | 'known' | 'outline'
  readonly lengths: Readonly<Partial<Record<ReadingName, Entered<SpanUnit>>>>
  readonly angle?: Entered<AngleUnit>
  readonly list?: readonly Entered<SpanUnit>[]
  /**
   * The rule it is worked by; absent: the method's first; blank: the same, but asked where readings can't
   * tell it.
   */
  readonly rule?: MeasuringRule
  readonly outline?: OutlineNote
  readonly size: Entered<AreaUnit>
  /** Give or take of a known size, as whoever gave it says; blank or absent: nobody said. */
  readonly give?: Entered<'%'>
  /** Measured with something else than the rest. */
  readonly with?: MeasuredWith
  /** Where it is shown on the plan when only its dimensions are known. */
  readonly place?: Place
  /** What is taken away, in words: bed, house, seeded patch. */
  readonly what?: string
  /** Last day, YYYY-MM-DD, on which it is taken away; blank or absent for good. */
  readonly until?: string
}

/** How a piece of ground was measured, kept as written so that it can be checked and computed again. */
export interface FieldNotes extends MeasuredWith {
  readonly parts: readonly LawnPart[]
  /** Per cent; when given, the sloped surface is what is dosed. */
  readonly slope?: Entered<'%'>
}

/** The shapes that count on a day: an exclusion whose last day has passed is lawn again. */
export const lapsed = ({ sign, until }: LawnPart, day: string): boolean =>
  sign === 'subtract' && until !== undefined && until !== '' && until < day
