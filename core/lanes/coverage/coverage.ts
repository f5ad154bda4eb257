import { depositAt, type DepositProfile } from '../../calibration/trayPattern'
import type { Polygon } from '../../ground/clipping'
import type { Point } from '../../ground/plane'
import { drawsFrom, normal } from '../../quantity/draws'
import type { LanePass } from '../plan/lanePlan'
import { gridOver, type Grid } from './grid'

/** Lanes and what is thrown on them, SI. */
export interface CoverageQuestion {
  readonly ground: readonly Polygon[]
  readonly passes: readonly LanePass[]
  /** The width the rate was calibrated for, m. */
  readonly width: number
  readonly profile: DepositProfile
  /** Of all passes together: kg/m2 or m3/m2. */
  readonly rate: number
  /** Side of a cell, m; coarser where the ground is too large for it. */
  readonly cell: number
  readonly seed: number
  /** One standard deviation of how far off the lane one walks, m. */
  readonly wander: number
  /** One standard deviation of speed, as a share of it. */
  readonly speedSd: number
  /** The gate opens and closes so far behind the end of a lane, m. */
  readonly lag: number
  /**
   * The side with a deflector: on lanes round the very edge what would fly further there falls evenly within
   * half a width.
   */
  readonly deflector?: 'left' | 'right' | undefined
}

export interface Coverage {
  readonly grid: Grid
  /** What left the machine, what landed on the lawn and what beside it; each summed by itself. */
  readonly thrown: number
  readonly onLawn: number
  readonly offLawn: number
}

/** One walks off a lane and back within about so far; a pace holds about so long. m */
const [WANDER_LENGTH, SPEED_LENGTH] = [4, 10]
/** Nobody walks further off than this many standard deviations. */
const MOST_WANDER = 4
/** Nor slower than this share of the pace. */
const SLOWEST = 0.3

/**
 * What the ground gets: every cell's length of every lane throws its share across the profile, and each share
 * is parted between the cells around where it lands, so that nothing is lost or made up. A walker who is
 * slow puts down more, for the flow does not know. Amounts in kg or m3, as the rate has it.
 * Source: trade.md 3 (deposit profile, overlapped copies); parting by a quadratic spline, as in
 * particle-in-cell work.
 * @param progress is told the share of the lanes that is done, lane by lane
 */
export function coverageOf(question: CoverageQuestion, progress?: (share: number) => void): Coverage {
  const { ground, passes, profile, wander, lag, deflector } = question
  const reach = Math.max(...profile.places.map(Math.abs)) + profile.spacing
  const draw = drawsFrom(question.seed)
  const lanes = passes.flatMap((pass) => pass.lanes)
  const grid = gridOver(
    ground,
    lanes.map(({ line }) => line),
    question.cell,
    reach + MOST_WANDER * wander + lag,
  )
  const throws = acrossOf(profile, grid.cell)
  const perMetre = (question.rate / passes.length) * question.width
  let thrown = 0
  const turnedIn = deflector && deflected(throws, deflector, question.width / 2)
  for (const [i, { line, edge }] of lanes.entries()) {
    thrown += throwAlong(grid, line, edge && turnedIn ? turnedIn : throws, perMetre, question, draw)
    progress?.((i + 1) / lanes.length)
  }
  let [onLawn, offLawn] = [0, 0]
  const { amounts, lawn } = grid
  for (let i = 0; i < amounts.length; i++) {
    if (lawn[i] === 1) onLawn += amounts[i]!
    else offLawn += amounts[i]!
  }
  return { grid, thrown, onLawn, offLawn }
}

/** Places across the throw with the share of it that lands there; the shares come to one. */
export interface Across {
  readonly first: number
  readonly step: number
  readonly shares: Float64Array
}

/** @param most places are no further apart, m */
export function acrossOf(profile: DepositProfile, most: number): Across {
  const from = profile.places[0]! - profile.spacing
  const whole = profile.places.at(-1)! + profile.spacing - from
  const count = Math.max(1, Math.ceil(whole / most))
  const step = whole / count
  const first = from + step / 2
  const shares = Float64Array.from({ length: count }, (_, i) => depositAt(profile, first + i * step))
  const sum = shares.reduce((a, b) => a + b, 0)
  return { first, step, shares: shares.map((share) => share / sum) }
}

/** @param reach beyond which nothing flies on the deflector's side, m */
function deflected({ first, step, shares }: Across, side: 'left' | 'right', reach: number): Across {
  const offOf = (i: number) => (first + i * step) * (side === 'right' ? 1 : -1)
  const within = Array.from(shares.keys()).filter((i) => offOf(i) >= 0 && offOf(i) <= reach)
  const stopped = shares.reduce((sum, share, i) => (offOf(i) > reach ? sum + share : sum), 0)
  if (within.length === 0) return { first, step, shares }
  const more = stopped / within.length
  return {
    first,
    step,
    shares: shares.map((share, i) => {
      if (offOf(i) > reach) return 0
      return offOf(i) >= 0 ? share + more : share
    }),
  }
}

/** What one lane throws; returned: its amount. */
function throwAlong(
  grid: Grid,
  line: readonly Point[],
  across: Across,
  perMetre: number,
  { wander, speedSd, lag }: CoverageQuestion,
  draw: () => number,
): number {
  const places = placesAlong(line)
  const length = places.at(-1)?.from ?? 0
  if (!(length > 0)) return 0
  const count = Math.max(1, Math.ceil(length / grid.cell))
  const step = length / count
  const off = follower(draw, wander, step / WANDER_LENGTH)
  const pace = follower(draw, speedSd, step / SPEED_LENGTH)
  let thrown = 0
  let leg = 0
  for (let i = 0; i < count; i++) {
    const along = lag + (i + 0.5) * step
    while (leg + 1 < places.length && places[leg + 1]!.from <= along) leg += 1
    const { from, x, y, east, north } = places[leg]!
    const aside = Math.max(-MOST_WANDER * wander, Math.min(MOST_WANDER * wander, off()))
    const amount = (perMetre * step) / Math.max(SLOWEST, 1 + pace())
    // Right of the way one walks lies (north, -east).
    throwAcross(
      grid,
      x + east * (along - from) + north * (aside + across.first),
      y + north * (along - from) - east * (aside + across.first),
      north * across.step,
      -east * across.step,
      across.shares,
      amount,
    )
    thrown += amount
  }
  return thrown
}

/**
 * Shares of one throw, from its left end to its right, each parted between the nine cells around it: smooth
 * enough that throws a cell apart leave no pattern of their own (quadratic spline). The grid reaches further
 * than anything is thrown.
 */
function throwAcross(
  { cell, columns, origin, amounts }: Grid,
  x: number,
  y: number,
  dx: number,
  dy: number,
  shares: Float64Array,
  amount: number,
): void {
  let column = (x - origin[0]) / cell
  let row = (y - origin[1]) / cell
  const [right, up] = [dx / cell, dy / cell]
  for (let i = 0; i < shares.length; i++) {
    const share = amount * shares[i]!
    const middle = column | 0
    const level = row | 0
    // How far into the cell it lands in, 0 to 1.
    const e = column - middle
    const n = row - level
    const east = 0.5 * e * e
    const west = 0.5 - e + east
    const here = 1 - west - east
    const north = 0.5 * share * n * n
    const south = share * (0.5 - n) + north
    const among = share - south - north
    const at = (level * columns + middle) | 0
    const below = at - columns
    const above = at + columns
    amounts[below - 1]! += south * west
    amounts[below]! += south * here
    amounts[below + 1]! += south * east
    amounts[at - 1]! += among * west
    amounts[at]! += among * here
    amounts[at + 1]! += among * east
    amounts[above - 1]! += north * west
    amounts[above]! += north * here
    amounts[above + 1]! += north * east
    column += right
    row += up
  }
}

interface Leg {
  /** How far along the lane it begins. */
  readonly from: number
  readonly x: number
  readonly y: number
  /** The way it goes, of length one. */
  readonly east: number
  readonly north: number
}

/** The corners of a lane with the way on from each; behind the last it goes on as it came. */
function placesAlong(line: readonly Point[]): readonly Leg[] {
  const legs: Leg[] = []
  let from = 0
  for (let i = 0; i + 1 < line.length; i++) {
    const [[x, y], [u, v]] = [line[i]!, line[i + 1]!]
    const length = Math.hypot(u - x, v - y)
    if (length === 0) continue
    legs.push({ from, x, y, east: (u - x) / length, north: (v - y) / length })
    from += length
  }
  const last = legs.at(-1)
  const [x, y] = line.at(-1) ?? [0, 0]
  return last ? [...legs, { from, x, y, east: last.east, north: last.north }] : []
}

/** A draw that stays near the one before it. @param nearness step over the length it holds for */
function follower(draw: () => number, sd: number, nearness: number): () => number {
  if (sd === 0) return () => 0
  const kept = Math.exp(-nearness)
  const fresh = Math.sqrt(1 - kept * kept)
  let value = normal(draw, sd)
  return () => {
    value = kept * value + fresh * normal(draw, sd)
    return value
  }
}
