import type { AreaSeason } from '#core/season/areaSeason'
import type { DayScore } from '#core/season/whichDay'
import type { NextOnLawn } from '#core/season/nextOnLawn'

/** The season of one area, as its page gets it. */
export interface SeasonPage {
  readonly area: { readonly id: string; readonly name: string; readonly overseeding: string }
  readonly site: { readonly id: string; readonly name: string }
  readonly station: { readonly id: string; readonly name: string } | undefined
  /** Where the half of the earth is known from. */
  readonly latitudeFrom: 'plan' | 'station' | 'nowhere'
  readonly today: string
  readonly season: AreaSeason
  readonly next: readonly NextOnLawn[]
  readonly working: readonly { readonly figure: string; readonly lines: readonly string[] }[]
}

/** An area one can look at the season of. */
export interface SeasonPlace {
  readonly areaId: string
  readonly area: string
  readonly siteId: string
  readonly site: string
}

/** The days that are forecast, scored for a job, the best first. */
export interface JobDays {
  readonly station: string | undefined
  readonly scores: readonly DayScore[]
  /** What waiting costs, in a sentence. */
  readonly waiting: string
  readonly working: SeasonPage['working']
}
