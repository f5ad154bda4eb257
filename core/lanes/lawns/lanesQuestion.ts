import type { Point, Ring } from '../../ground/plane'
import type { Buffers } from './buffers'
import type { LaneAim } from '../plan/lanePlan'

/** One lawn of a job, as it lies on the plan. SI; amounts in kg or m3, all passes together. */
export interface WalkedLawn {
  readonly id: string
  readonly name: string
  readonly shapes: readonly {
    readonly sign: 'add' | 'subtract'
    readonly rings: readonly Ring[]
    /** What is taken away, in words. */
    readonly what: string
  }[]
  readonly amount: number
  /** Degrees clockwise from north; undefined: chosen. */
  readonly direction: number | undefined
  readonly start: Point | undefined
}

/** What is weighed or mixed together: loads one after the other, or one charge of a hopper. kg or m3 */
export interface LaneBatch {
  readonly lawns: readonly string[]
  readonly loads: readonly number[]
  /** What the hopper of a charge holds: it is topped up. Undefined for loads that are mixed. */
  readonly holds: number | undefined
}

/** All lawns of an application and how they are walked: plain data, so that a worker can be asked it. */
export interface LanesQuestion {
  /** In the order in which they are walked, in each pass. */
  readonly lawns: readonly WalkedLawn[]
  /** Between lanes at most, m. */
  readonly width: number
  readonly passes: number
  /** m/s */
  readonly speed: number
  /** s */
  readonly turn: number
  /** How the plan's upward axis is turned from north, degrees. */
  readonly bearing: number
  readonly headers: number
  readonly shutSide: 'left' | 'right' | undefined
  readonly aim: LaneAim
  readonly truck: Point | undefined
  readonly buffers: Buffers
  readonly batches: readonly LaneBatch[]
}

/** Laps where nobody said how many. Source: trade.md 8 (header lanes at the ends). */
export const USUAL_HEADERS = 1
/** s, where nobody timed one. */
export const USUAL_TURN = 5
