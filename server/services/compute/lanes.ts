import { depositProfile } from '#core/calibration/trayPattern'
import type { ComputeIssue } from '#core/computeIssue'
import type { Polygon } from '#core/ground/clipping'
import { combineOutlines } from '#core/ground/combineOutlines'
import { firstCrossings } from '#core/ground/crossings'
import { coverageFigures } from '#core/lanes/coverage/evenness'
import { coverageOf } from '#core/lanes/coverage/coverage'
import { USUAL_TURN } from '#core/lanes/lawns/lanesQuestion'
import { lanePlan, type LaneError, type LanePlan } from '#core/lanes/plan/lanePlan'
import { refillsOf } from '#core/lanes/plan/refills'
import { areaSi, lengthSi, speedSi } from '#core/quantity/quantity'
import { WATCH_SECONDS_PER } from '#core/quantity/units'
import { dimensionOf, rateUnitParts, splitAreaRate } from '#core/quantity/rateUnit'
import { err, ok, type Result } from '#core/result'
import { sixDigits } from '#core/working/figureText'
import { openWorkingBook, type WorkingBook } from '#core/working/working'
import type {
  CoverageAnswer,
  CoverageRequest,
  LanesAnswer,
  LanesRequest,
} from '#shared/schemas/compute/lanes'
import { answeredWorking } from './answeredWorking'

type Issues = readonly ComputeIssue[]

/** Lanes over a lawn, for other programs. */
export function answerLanes(request: LanesRequest): Result<LanesAnswer, Issues> {
  const book = openWorkingBook()
  const ground = groundOf(request)
  if (!ground.ok) return ground
  const plan = planOf(request, ground.value, book)
  if (!plan.ok) return plan
  const { passes, distance, turns, seconds, reasons } = plan.value
  const lanes = passes.flatMap((pass) => pass.lanes)
  const { load, truck } = request
  const refills = load
    ? refillsOf(lanes, areaSi(load.area), lengthSi(request.width), passes.length, truck)
    : []
  return ok({
    passes: passes.map(({ direction, lanes: own }) => ({
      direction,
      lanes: own.map(({ number, header, line }) => ({
        number,
        header,
        line: line.map(([x, y]): [number, number] => [x, y]),
      })),
    })),
    distance,
    turns,
    time: seconds,
    refills: refills.map(({ afterLane, at: [x, y], toTruck }) => ({
      afterLane,
      at: [x, y],
      toTruck: toTruck ?? null,
    })),
    reasons: [...reasons],
    working: answeredWorking(book),
  })
}

/** What the ground gets from lanes and a pattern, for other programs. */
export function answerCoverage(request: CoverageRequest): Result<CoverageAnswer, Issues> {
  const book = openWorkingBook()
  const { catches, spacing } = request.profile
  const profile = depositProfile({ catches, spacing: lengthSi(spacing) })
  if (!profile.ok) {
    const message = 'No tray caught anything: there is no pattern to throw.'
    return err([{ code: 'not-enough', path: 'profile.catches', message }])
  }
  const ground = groundOf(request)
  if (!ground.ok) return ground
  const plan = planOf(request, ground.value, book)
  if (!plan.ok) return plan
  const { factor } = rateUnitParts(request.rate.unit)
  const cell = lengthSi(request.cell)
  const rate = request.rate.value * factor
  const { grid, thrown, onLawn, offLawn } = coverageOf({
    ground: ground.value,
    passes: plan.value.passes,
    width: lengthSi(request.width),
    profile: profile.value,
    rate,
    cell,
    seed: request.seed,
    wander: request.wander ? lengthSi(request.wander) : 0,
    speedSd: request.speedSd ?? 0,
    lag: request.lag ? lengthSi(request.lag) : 0,
  })
  const figures = coverageFigures(grid, rate)
  if (!figures) {
    const message = 'No cell lies on this lawn: take smaller cells.'
    return err([{ code: 'not-enough', path: 'cell', message }])
  }
  const amount = amountOf(request.rate.unit)
  book.note('coverage', () => [
    `${sixDigits(thrown)} thrown, ${sixDigits(onLawn)} on the lawn, ${sixDigits(offLawn)} beside it`,
    `Cells of ${sixDigits(grid.cell)} m: mean ${sixDigits(figures.mean / factor)} ${request.rate.unit}, ` +
      `standard deviation ${sixDigits(100 * figures.cv)} % of it`,
  ])
  return ok({
    mean: figures.mean / factor,
    cv: 100 * figures.cv,
    under80: 100 * figures.under80,
    over120: 100 * figures.over120,
    thrown: amount(thrown),
    onLawn: amount(onLawn),
    offLawn: amount(offLawn),
    histogram: figures.histogram.map(({ from, to, share }) => ({
      from: from / factor,
      to: to / factor,
      share,
    })),
    cell: grid.cell,
    reasons: [
      ...plan.value.reasons,
      ...(grid.cell > cell
        ? [`The lawn is too large for such cells: ${sixDigits(grid.cell)} m were taken.`]
        : []),
    ],
    working: answeredWorking(book),
  })
}

const LITRES = 1000
/** SI amounts of a rate: kg of what is weighed, L of what is poured. */
function amountOf(unit: CoverageRequest['rate']['unit']) {
  const isMass = dimensionOf(splitAreaRate(unit).amount) === 'mass'
  return (value: number) =>
    isMass ? { value, unit: 'kg' as const } : { value: value * LITRES, unit: 'L' as const }
}

/** The outline less its exclusions. */
function groundOf({ outline, exclusions }: LanesRequest): Result<readonly Polygon[], Issues> {
  const rings = [
    { ring: outline, path: 'outline' },
    ...exclusions.map((ring, i) => ({ ring, path: `exclusions.${i}` })),
  ]
  for (const { ring, path } of rings) {
    const [crossing] = firstCrossings(ring, 1)
    if (crossing) {
      const message = 'This outline crosses itself: its corners go round one after the other.'
      return err([{ code: 'crosses-itself', path, message, at: crossing.at }])
    }
  }
  const combined = combineOutlines([outline], exclusions)
  if (!combined.ok) {
    const message = 'These outlines cross too often to be joined: send simpler ones.'
    return err([{ code: 'too-complex', path: 'exclusions', message }])
  }
  return ok(combined.value.net)
}

function planOf(
  { outline, width, headers, passes, direction, speed, turn, start = outline[0] }: LanesRequest,
  ground: readonly Polygon[],
  book: WorkingBook,
): Result<LanePlan, Issues> {
  const plan = lanePlan(
    {
      ground,
      width: lengthSi(width),
      headers,
      passes,
      direction,
      speed: speedSi(speed),
      turn: turn ? turn.value * WATCH_SECONDS_PER[turn.unit] : USUAL_TURN,
      start,
    },
    book,
  )
  return plan.ok ? plan : err([laneIssue(plan.error)])
}

const LANE_ISSUES: Readonly<Record<LaneError['kind'], ComputeIssue>> = {
  noGround: {
    code: 'impossible',
    path: 'outline',
    message: 'Nothing is left of this lawn to walk on: look at its outline and its exclusions.',
  },
  tooMany: {
    code: 'too-complex',
    path: 'width',
    message: 'That would be more lanes than anybody walks: take a larger width.',
  },
  notCombined: {
    code: 'too-complex',
    path: 'outline',
    message: 'These outlines can’t be cut into lanes: send simpler ones.',
  },
}
const laneIssue = ({ kind }: LaneError): ComputeIssue => LANE_ISSUES[kind]
