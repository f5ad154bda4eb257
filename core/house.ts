import type { UnitSystem } from './quantity/systems'

/** What a crew holds itself to where the label leaves it free; each a default that a crew may change. */
export interface House {
  /** The units the crew reads, for the sentences of checks; the trade's own where nobody says. */
  readonly units?: UnitSystem
  /** A calibration older than this many days is not trusted. */
  readonly calibrationDays: number
  /** Actual over planned rate, less one: up to here good, up to there acceptable. */
  readonly good: number
  readonly acceptable: number
  /** A repeat is planned this share of the label's interval early. */
  readonly repeatMargin: number
  /** Applications in a row of one mode-of-action group before another is asked for. */
  readonly groupRun: number
}

/** Source: trade.md 6 (60 days), 9 (5 % and 10 %), 10 (10 % early; two of one group, then another). */
export const DEFAULT_HOUSE: House = {
  calibrationDays: 60,
  good: 0.05,
  acceptable: 0.1,
  repeatMargin: 0.1,
  groupRun: 2,
}
