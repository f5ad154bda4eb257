import type { GrassName } from '../../ground/grasses'
import type { BandName } from './bands'

export type WindowName = BandName | 'second half'
export const WINDOW_NAMES = [
  'spring pre-emergent',
  'second half',
  'autumn pre-emergent',
  'root disease',
  'spring dead spot',
  'cool feed',
  'warm feed',
  'potassium',
] as const satisfies readonly WindowName[]
export const WINDOW_STATES = ['before', 'open', 'closing', 'late', 'over', 'unknown'] as const
export type WindowState = (typeof WINDOW_STATES)[number]

/** The earliest and latest day of something, YYYY-MM-DD; absent where the year does not show it. */
export interface DaySpan {
  readonly early?: string | undefined
  readonly late?: string | undefined
}

/** A window of the season on one area, as it stands today. */
export interface SeasonWindow {
  readonly name: WindowName
  /** YYYY-MM-DD; undefined where the series does not show it. */
  readonly opens: string | undefined
  readonly closes: string | undefined
  /** The earliest and latest of each, where it is still to come and the give of the soil is known. */
  readonly opensBetween?: DaySpan | undefined
  readonly closesBetween?: DaySpan | undefined
  readonly state: WindowState
  /** One sentence with the figure it rests on. */
  readonly reason: string
}

export interface WindowGround {
  readonly grasses: readonly GrassName[]
  /** Degrees, south below zero. */
  readonly latitude: number
  /** The day seed is sown; undefined for none. */
  readonly overseeding: string | undefined
  /** Days on which a pre-emergent was laid. */
  readonly barriers: readonly string[]
}

/** Soil at 2 in, day by day. */
export interface SoilDays {
  /** Number of the first day. */
  readonly first: number
  /** °C; NaN where it is not known. */
  readonly soil: Float64Array
  /** Two standard deviations, K; absent where it is not asked for. */
  readonly give?: Float64Array
}

/** A soil temperature as the reader's units tell it. */
export type TellTemperature = (celsius: number) => string
