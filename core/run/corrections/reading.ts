import { roundingOf } from '../../quantity/repeats'

/** How a rest was found out: on a scale, at a mark of hopper or tank, or by looking at it. */
export const READING_WAYS = ['weighed', 'read', 'eye'] as const
export type ReadingWay = (typeof READING_WAYS)[number]

/** One standard deviation as a share of what was put in (house defaults): a mark, and an eye. */
const SHARE_OF_CHARGE = { read: 0.025, eye: 0.1 } as const

/**
 * One standard deviation of a rest, in its own unit: half a step of the scale spread evenly, or a share of
 * what was put in where nothing was weighed.
 * @param charge what was put in; @param step of the scale, 0 where nobody named one
 * Source: trade.md 8, a checkpoint may be weighed, read off a mark, or judged by eye.
 */
export const doubtOfRest = (way: ReadingWay, charge: number, step: number): number =>
  way === 'weighed' ? roundingOf(step) : charge * SHARE_OF_CHARGE[way]
