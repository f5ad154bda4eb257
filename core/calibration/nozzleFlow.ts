import { sumOf, meanOf } from '../quantity/counting'
import type { Figure } from '../working/figures'
import { isOver, isUnder } from '../quantity/tolerance'
import { sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'

/**
 * A set of nozzles at one pressure: what each caught in the same time, m3/s. Nought for one that is blocked.
 */
export interface NozzleSet {
  readonly flows: readonly number[]
  /** Rated flow of a new one at this pressure, m3/s, if known. */
  readonly rated?: number
}

/** Within this share of the mean a nozzle is right; else it is cleaned and tried again (trade.md 4). */
export const NOZZLE_LIMIT = 0.05
/** Over the rated flow by more than this it is worn, and the set is replaced (trade.md 4). */
export const WORN_LIMIT = 0.1
/** Under this share of the mean a nozzle is blocked rather than low. */
const BLOCKED = 0.5

interface NozzleState {
  readonly flow: number
  /** Share off the mean. */
  readonly off: number
  /** Share over its rated flow; undefined when that is not known. */
  readonly overRated: number | undefined
  readonly state: 'right' | 'high' | 'low' | 'blocked' | 'worn'
}

export interface NozzleCheck {
  /** Mean of those that are not blocked, m3/s. */
  readonly mean: number
  readonly total: number
  readonly nozzles: readonly NozzleState[]
  /** Numbers counted from 1. */
  readonly clean: readonly number[]
  readonly replace: 'set' | 'none'
}

/**
 * Checks a set of nozzles against its mean and what new ones give.
 * @returns undefined when nothing flowed. Limits: trade.md 4
 */
export function checkNozzles({ flows, rated }: NozzleSet): NozzleCheck | undefined {
  const most = Math.max(0, ...flows)
  const open = flows.filter((flow) => flow >= most * BLOCKED)
  if (!(most > 0)) return undefined
  const mean = meanOf(open)
  const nozzles = flows.map((flow): NozzleState => {
    const off = flow / mean - 1
    const overRated = rated === undefined ? undefined : flow / rated - 1
    return { flow, off, overRated, state: stateOf(flow, off, overRated, mean) }
  })
  return {
    mean,
    total: sumOf(flows, (flow) => flow),
    nozzles,
    clean: nozzles.flatMap(({ state }, i) =>
      state === 'low' || state === 'blocked' || state === 'high' ? [i + 1] : [],
    ),
    replace: nozzles.some(({ state }) => state === 'worn') ? 'set' : 'none',
  }
}

function stateOf(
  flow: number,
  off: number,
  overRated: number | undefined,
  mean: number,
): NozzleState['state'] {
  if (flow < mean * BLOCKED) return 'blocked'
  if (overRated !== undefined && isOver(overRated, WORN_LIMIT)) return 'worn'
  if (isOver(off, NOZZLE_LIMIT)) return 'high'
  return isOver(-off, NOZZLE_LIMIT) ? 'low' : 'right'
}

/** What ties a boom's carrier to the way it is driven; all SI. */
export interface BoomFlow {
  /** Flow of all nozzles together, m3/s. */
  readonly flow: number
  /** Width they cover together, m. */
  readonly width: number
  /** m/s. */
  readonly speed: number
}

/**
 * Carrier on the ground, m3 on each m2: flow / (speed x width). US form GPA = 5940 x GPM / (mph x in), metric
 * L/ha = 600 x L/min / (km/h x m). Source: trade.md 4.
 */
export function carrierOf({ flow, width, speed }: BoomFlow, figure: Figure, book: WorkingBook): number {
  const carrier = flow / (width * speed)
  book.note(figure, () => [
    `flow of all nozzles ${sixDigits(flow * 60_000)} L/min over ${sixDigits(width)} m at ` +
      `${sixDigits(speed * 3.6)} km/h`,
    `carrier = flow / (speed x width) = ${sixDigits(carrier * 1e7)} L/ha`,
  ])
  return carrier
}

/** The one unknown that gives a wanted carrier, the others held. */
export const speedForCarrier = (carrier: number, { flow, width }: Omit<BoomFlow, 'speed'>): number =>
  flow / (carrier * width)
export const flowForCarrier = (carrier: number, { width, speed }: Omit<BoomFlow, 'flow'>): number =>
  carrier * width * speed
export const widthForCarrier = (carrier: number, { flow, speed }: Omit<BoomFlow, 'width'>): number =>
  flow / (carrier * speed)

/** A nozzle's own range of pressure, Pa. */
export interface PressureRange {
  readonly low: number
  readonly high: number
}

/**
 * Flow at another pressure: it goes with the square root.
 * @returns undefined outside the nozzle's own range. Source: trade.md 4
 */
export const flowAtPressure = (
  flow: number,
  pressure: number,
  other: number,
  { low, high }: PressureRange,
): number | undefined =>
  !isUnder(other, low) && !isOver(other, high) ? flow * Math.sqrt(other / pressure) : undefined

/** Pressure that gives a flow, Pa, and whether the nozzle bears it. */
export function pressureForFlow(
  flow: number,
  pressure: number,
  wanted: number,
  { low, high }: PressureRange,
): { readonly pressure: number; readonly within: 'range' | 'too-low' | 'too-high' } {
  const needed = pressure * (wanted / flow) ** 2
  return {
    pressure: needed,
    within: isUnder(needed, low) ? 'too-low' : isOver(needed, high) ? 'too-high' : 'range',
  }
}

/** Flow of a heavier or lighter solution through the same nozzle. @param gravity specific gravity, water 1 */
export const flowOfSolution = (waterFlow: number, gravity: number): number => waterFlow / Math.sqrt(gravity)

/** Width one nozzle covers at a height, m. @param angle radians */
export const sprayWidth = (height: number, angle: number): number => 2 * height * Math.tan(angle / 2)

/** Share of a nozzle's width that its neighbours cover too; negative leaves a gap. */
export const nozzleOverlap = (height: number, angle: number, spacing: number): number =>
  1 - spacing / sprayWidth(height, angle)

/**
 * Length of course on which one nozzle treats a 128th of an acre, m: fluid ounces caught in the time it takes
 * are gallons per acre. Source: trade.md 4
 */
export const hundredTwentyEighthCourse = (spacing: number): number => 4046.8564224 / 128 / spacing
