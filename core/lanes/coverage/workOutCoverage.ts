import { combineOutlines } from '../../ground/combineOutlines'
import type { Point } from '../../ground/plane'
import { err, ok, type Result } from '../../result'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import type { WalkedLawn } from '../lawns/lanesQuestion'
import { keptOff, type Buffers } from '../lawns/buffers'
import { onFoot } from '../lawns/workOutLanes'
import { lanePlan, type LaneError, type LanePlan } from '../plan/lanePlan'
import { cornersWalkedOn } from './cornersWalkedOn'
import { coverageOf } from './coverage'
import { coverageFigures, shareOver, sharesOfTarget, type CoverageFigures } from './evenness'
import type { Grid } from './grid'
import { offLawnBy, type OffLawn } from './offLawn'
import type { Pattern } from './profiles'
import { worstStrip, type WorstStrip } from './worstStrip'

/** One way to go over a lawn. SI; rates in kg or m3 on each m2. */
export interface SetUp {
  readonly passes: number
  /** Lanes apart, m. */
  readonly width: number
  readonly headers: number
  readonly direction: number | undefined
  readonly start: Point | undefined
  readonly speed: number
  readonly turn: number
  readonly pattern: Pattern
  readonly deflector: 'left' | 'right' | undefined
  /** What it lays in all passes where lanes lie as calibrated. */
  readonly laid: number
  /** Standard deviations off the lane, m, and of pace, as a share. */
  readonly wander: number
  readonly speedSd: number
  /** m */
  readonly lag: number
}

export interface CoverageAsk {
  readonly shapes: WalkedLawn['shapes']
  readonly buffers: Buffers
  readonly setUp: SetUp
  /** What is meant, of all passes, and the most the label allows. */
  readonly target: number
  readonly most: number | undefined
  /** m */
  readonly cell: number
  readonly seed: number
}

/** What a lawn gets by one way to go over it. */
export interface ToldCoverage {
  readonly plan: LanePlan
  /** On foot, turns and ways between stretches in it, s. */
  readonly seconds: number
  readonly grid: Grid
  /** True where the lawn was too large for the cells that were asked. */
  readonly coarser: boolean
  readonly figures: CoverageFigures
  /** Shares of the lawn by tenths of the target. */
  readonly shares: readonly number[]
  /** Share over the label's most; undefined without one. */
  readonly overMost: number | undefined
  readonly worst: WorstStrip | undefined
  /** kg or m3 */
  readonly thrown: number
  readonly onLawn: number
  readonly off: readonly OffLawn[]
}

export type CoverageError = LaneError | { readonly kind: 'noCell' }

/**
 * Lanes and throw of one set-up over one lawn, with everything that is told of it.
 * @param book gets the page `coverage`
 * @returns `noCell` where no cell lies on the lawn; else as `lanePlan`
 */
export function workOutCoverage(
  { shapes, buffers, setUp, target, most, cell, seed }: CoverageAsk,
  progress?: (share: number) => void,
  book: WorkingBook = closedWorkingBook,
): Result<ToldCoverage, CoverageError> {
  const rings = (sign: 'add' | 'subtract') =>
    shapes.filter((shape) => shape.sign === sign).flatMap((shape) => shape.rings)
  const combined = combineOutlines(rings('add'), rings('subtract'))
  if (!combined.ok) return err({ kind: 'notCombined' })
  const taken = shapes.filter(({ sign }) => sign === 'subtract')
  const kept = keptOff(combined.value.net, taken, buffers)
  if (!kept.ok) return kept
  const { ground } = kept.value
  const { passes, width, headers, direction, start, speed, turn, deflector } = setUp
  const plan = lanePlan({
    ground,
    width,
    headers,
    passes,
    direction,
    start,
    speed,
    turn,
    shutSide: deflector,
    narrow: 'once',
  })
  if (!plan.ok) return plan
  const { grid, thrown, onLawn } = coverageOf(
    {
      ground,
      passes: cornersWalkedOn(plan.value.passes, deflector ?? 'right', width),
      width,
      profile: setUp.pattern.profile,
      rate: setUp.laid,
      cell,
      seed,
      wander: setUp.wander,
      speedSd: setUp.speedSd,
      lag: setUp.lag,
      deflector,
    },
    progress,
  )
  const figures = coverageFigures(grid, target)
  if (!figures) return err({ kind: 'noCell' })
  const off = offLawnBy(grid, taken)
  const overMost = most === undefined ? undefined : shareOver(grid, most)
  const worst = worstStrip(grid, plan.value.passes, width, target)
  book.note('coverage', () => [
    `cells of ${sixDigits(grid.cell)} m; ${sixDigits(thrown)} thrown, ${sixDigits(onLawn)} on the lawn`,
    ...off.map(({ what, amount }) => `${what}: ${sixDigits(amount)}`),
    `mean ${sixDigits(figures.mean)} on each m2 against ${sixDigits(target)}, standard deviation ` +
      `${sixDigits(100 * figures.cv)} % of it`,
    `cells under ${sixDigits(0.8 * target)}: ${sixDigits(100 * figures.under80)} %; over ` +
      `${sixDigits(1.2 * target)}: ${sixDigits(100 * figures.over120)} %`,
    ...(most === undefined || overMost === undefined
      ? []
      : [`cells over the label's ${sixDigits(most)}: ${sixDigits(100 * overMost)} %`]),
    ...(worst
      ? [
          `strips an eighth of ${sixDigits(width)} m wide along pass ${worst.pass}: the furthest off has ` +
            `${sixDigits(100 * worst.share)} % of the target`,
        ]
      : []),
    `on foot ${sixDigits(plan.value.distance)} m and ${sixDigits(plan.value.between)} m between at ` +
      `${sixDigits(speed)} m/s, ${plan.value.turns} turns of ${sixDigits(turn)} s`,
  ])
  return ok({
    plan: plan.value,
    seconds: onFoot(plan.value, speed),
    grid,
    coarser: grid.cell > cell * (1 + 1e-9),
    figures,
    shares: sharesOfTarget(grid, target),
    overMost,
    worst,
    thrown,
    onLawn,
    off,
  })
}
