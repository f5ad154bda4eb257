import type { AreaSeason } from '#core/season/areaSeason'
import type { Entered } from '#core/quantity/entered'
import type { RateUnit } from '#core/quantity/units'
import type { DayScore } from '#core/conditions/whichDay'
import type { Cue } from '#core/season/cues/cue'
import type { WindowOpinion } from '#core/season/cues/windowOpinions'
import type { DayRoom } from '#core/program/weekPlan'
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
  /** What other schools of timing say of its windows, and the newest of what was seen on the site. */
  readonly opinions: readonly WindowOpinion[]
  readonly cues: readonly (Cue & { readonly id: string })[]
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

/** A step of a program on some lawns of one site, on the day that is proposed for it. */
export interface WeekWork {
  readonly id: string
  readonly siteId: string
  readonly site: string
  readonly what: string
  readonly productId: string
  readonly product: string
  readonly nitrogen: Entered<RateUnit>
  readonly areas: readonly { readonly id: string; readonly name: string }[]
  readonly from: string | undefined
  readonly to: string | undefined
  /** Walking or driving over its lawns, s; undefined: not known before a machine is calibrated. */
  readonly seconds: number | undefined
  /** The machine it takes; blank where none is settled. */
  readonly machineId: string
  readonly machine: string
  /** Score of each day of the week, 0 to 1, and when it can go out then. */
  readonly days: readonly { readonly on: string; readonly score: number; readonly words: string }[]
}

/** A week of steps put on days: sites in driving order. */
export interface SeasonWeek {
  readonly days: readonly string[]
  /** What a day has room for. */
  readonly room: DayRoom
  readonly visits: readonly {
    readonly on: string
    readonly siteId: string
    /** Whose round it is in, from 0. */
    readonly hand: number
    readonly works: readonly WeekWork[]
  }[]
  /** What found no day. */
  readonly left: readonly WeekWork[]
  /** Steps of the week that no job is made of, and why, in words. */
  readonly open: readonly string[]
}
