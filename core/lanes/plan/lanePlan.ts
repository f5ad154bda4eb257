import { inset, subtract, type NotCut, type Polygon } from '../../ground/clipping'
import { centroid, distance, perimeter, ringArea, type Point, type Ring } from '../../ground/plane'
import { counted, sumOf } from '../../quantity/counting'
import { formatMinutes } from '../../quantity/format'
import { err, ok, type Result } from '../../result'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import { innerLanes, laneCount } from './innerLanes'
import { walkedOnce } from './walkedOnce'

export type LaneAim = 'quickest' | 'fewest turns' | 'longest runs'

/** Ground and how it is walked; SI, directions in degrees clockwise from north. */
export interface LaneQuestion {
  /** The lawn less its exclusions. */
  readonly ground: readonly Polygon[]
  /** Between lanes at most, m. */
  readonly width: number
  /** Laps round the edge and round each exclusion. */
  readonly headers: number
  /** One after the other at right angles. */
  readonly passes: number
  /** Of the first pass. Undefined: the best by the aim. */
  readonly direction?: number | undefined
  /** What a direction is chosen for; absent: the quickest. */
  readonly aim?: LaneAim | undefined
  /** The side of the machine that can be shut off: laps keep edges and exclusions there; absent: right. */
  readonly shutSide?: 'left' | 'right' | undefined
  /** m/s */
  readonly speed: number
  /** What a turn takes, s. */
  readonly turn: number
  readonly start?: Point | undefined
  /**
   * Ground that laps would lay twice: `once` walks what is hardly broader than a width along its middle, and
   * leaves out of a lap what another covers; absent: laps all round.
   */
  readonly narrow?: 'once' | undefined
  /** How the plan's upward axis is turned from north, degrees: directions are told from north. */
  readonly bearing?: number | undefined
}

export interface Lane {
  /** From 1, on over the passes. */
  readonly number: number
  readonly header: boolean
  /** Round the very edge of the lawn or of an exclusion. */
  readonly edge: boolean
  readonly line: readonly Point[]
  /** m */
  readonly length: number
}

export interface LanePass {
  readonly direction: number
  readonly lanes: readonly Lane[]
}

export interface LanePlan {
  readonly passes: readonly LanePass[]
  /** Along all lanes, m; ways between them are not in it. */
  readonly distance: number
  /** From one lane to the next. */
  readonly turns: number
  readonly seconds: number
  /** Walked between lanes that are no neighbours, m. */
  readonly between: number
  /** Why it is so, and what is left thin; each a sentence. */
  readonly reasons: readonly string[]
}

export type LaneError = NotCut | { readonly kind: 'tooMany' } | { readonly kind: 'noGround' }

/** More lanes than this nobody walks. */
const MOST_LANES = 5000
/** Directions that are tried besides those of the longest sides. */
const STEP_DEGREES = 15
const SIDES_TRIED = 4
/** The quickest by its lanes alone is laid out whole, beside the axes. */
const LAID_OUT = 1
/** Up to so many widths one lane along the middle lays less wrong than two. */
const ONE_LANE = 1.25
/** What is left beside the header lanes is no lane's worth below so many square widths. */
const LEAST_SLIVER = 0.25

/**
 * Lanes over a lawn: laps round its edges and exclusions, then parallel lanes to and fro, numbered as they
 * are walked. Without a direction the one that takes least time, told against the axes of the plan.
 * @param book gets the page `lanes`
 * @returns `noGround` where nothing is left to walk on, `tooMany` past 5,000 lanes, `notCombined` where the
 *   outlines can't be cut
 * Source: trade.md 6 and 8 (header lanes at the ends, second pass at right angles).
 */
export function lanePlan(
  question: LaneQuestion,
  book: WorkingBook = closedWorkingBook,
): Result<LanePlan, LaneError> {
  const laid = headerGround(question)
  if (!laid.ok) return laid
  const rings = laid.value.inner.flat()
  if (aroundOf(question.ground) / question.width > 2 * MOST_LANES) return err({ kind: 'tooMany' })
  const { direction } = question
  const asked = direction === undefined ? undefined : ((direction % 360) + 360) % 360
  const tried = asked === undefined ? directionsOf(question, rings) : [asked]
  const plans = tried.map((one) => planAlong(question, laid.value, one))
  const cost = costBy(question.aim)
  const best = plans.reduce((a, b) => (cost(b) < cost(a) - 1e-9 ? b : a))
  if (best.passes.every(({ lanes }) => lanes.length === 0)) return err({ kind: 'noGround' })
  const reasons = [
    ...directionReason(question, best, plans),
    ...laid.value.reasons,
    ...(question.shutSide && laid.value.laps.length > 0
      ? [`Edges and exclusions stay on your ${question.shutSide}: the deflector goes there.`]
      : []),
    ...(best.between > 0
      ? [`Each stretch is followed by the nearest: ${Math.round(best.between)} m are walked between them.`]
      : []),
  ]
  const plan = { ...best, reasons }
  book.note('lanes', () => working(question, plan))
  return ok(plan)
}

/** The less the better, by what is aimed at; what ties there is told apart by its time. */
function costBy(aim: LaneAim = 'quickest'): (plan: Omit<LanePlan, 'reasons'>) => number {
  switch (aim) {
    case 'quickest':
      return ({ seconds }) => seconds
    case 'fewest turns':
      return ({ turns, seconds }) => turns + seconds * TIE
    case 'longest runs':
      return (plan) => plan.seconds * TIE - meanRun(plan)
    default:
      return aim satisfies never
  }
}
const TIE = 1e-6

/** Mean length of the lanes that are no laps, m. */
function meanRun({ passes }: Pick<LanePlan, 'passes'>): number {
  const runs = passes.flatMap(({ lanes }) => lanes.filter(({ header }) => !header))
  return runs.length === 0 ? 0 : sumOf(runs, ({ length }) => length) / runs.length
}

interface LaidGround {
  /** Rings of each lap, from the edge inwards. */
  readonly laps: readonly (readonly Ring[])[]
  /** What is walked to and fro. */
  readonly inner: readonly Polygon[]
  /** Too narrow for a lap: walked along its middle. */
  readonly slivers: readonly Polygon[]
  readonly reasons: readonly string[]
}

/** Laps, and what is left inside them; ground too narrow for a lap has lanes of its own. */
function headerGround({ ground, headers, width, narrow }: LaneQuestion): Result<LaidGround, LaneError> {
  if (headers === 0)
    return ok({
      laps: [],
      inner: ground,
      slivers: [],
      reasons: ['No header lanes: slanted ends and the edges of exclusions stay thin.'],
    })
  const laps: (readonly Ring[])[] = []
  let outermost: readonly Polygon[] = []
  for (let lap = 1; lap <= headers; lap++) {
    const middle = inset(ground, (lap - 0.5) * width)
    if (!middle.ok) return middle
    const broad = narrow === 'once' ? middle.value.filter((piece) => !isNarrow(piece, width)) : middle.value
    if (broad.length === 0) break
    if (lap === 1) outermost = broad
    laps.push(broad.flat())
  }
  const inner = inset(ground, headers * width)
  if (!inner.ok) return inner
  const slivers = sliversOf(ground, outermost, width)
  if (!slivers.ok) return slivers
  const whole = laps.length === 0
  const middle = narrow === 'once'
  return ok({
    laps,
    inner: whole ? (middle ? [] : ground) : inner.value,
    slivers: whole ? (middle ? ground : []) : slivers.value,
    reasons: whole
      ? [`The lawn is too narrow for a header lane${middle ? ': it is walked along its middle' : ''}.`]
      : [
          `${counted(headers, 'lap')} round the edge and each exclusion: room to turn, and even ends.`,
          'At the corners of a lap walk on to the edge before you turn: inside the turn it is thin.',
          ...(slivers.value.length > 0
            ? [`${counted(slivers.value.length, 'strip')} too narrow for a lap: walked along the middle.`]
            : []),
        ],
  })
}

/** A lap around its middle would lay it twice. @param middle the lap's own ground, half a width inside */
function isNarrow(middle: Polygon, width: number): boolean {
  const [outline = []] = middle
  const breadth = (2 * ringArea(outline)) / perimeter(outline)
  if (breadth > width / 2) return false
  const left = inset([middle], ((ONE_LANE - 1) * width) / 2)
  return left.ok && left.value.length === 0
}

/** Ground that no lap reaches: necks and strips narrower than a width. @param outermost the first lap */
function sliversOf(
  ground: readonly Polygon[],
  outermost: readonly Polygon[],
  width: number,
): Result<readonly Polygon[], NotCut> {
  const reached = inset(outermost, -width / 2)
  if (!reached.ok) return reached
  const rest = subtract(ground, reached.value)
  return rest.ok
    ? ok(rest.value.filter(([outline = []]) => ringArea(outline) > LEAST_SLIVER * width * width))
    : rest
}

function planAlong(
  question: LaneQuestion,
  { laps, inner, slivers }: LaidGround,
  direction: number,
): Omit<LanePlan, 'reasons'> {
  const { width, passes, speed, turn, headers, shutSide, narrow } = question
  const sliverWidth = narrow === 'once' ? ONE_LANE * width : width
  let at: Point = question.start ?? question.ground[0]?.[0]?.[0] ?? [0, 0]
  let [number, between] = [0, 0]
  const add = (lanes: Lane[], line: readonly Point[], kind: 'edge' | 'lap' | 'inner'): void => {
    const [begin = at] = line
    const gap = distance(at, begin)
    if (number > 0 && gap > 2 * width) between += gap
    number += 1
    lanes.push({ number, header: kind !== 'inner', edge: kind === 'edge', line, length: lengthOf(line) })
    at = line.at(-1) ?? at
  }
  const ends = headers > 0 && laps.length > 0 ? 'on' : 'edge'
  const walked = Array.from({ length: passes }, (_, pass): LanePass => {
    const lanes: Lane[] = []
    const along = (direction + 90 * pass) % 360
    for (const [i, lap] of laps.entries())
      for (const ring of inTurn(lap, at)) {
        const whole = lapFrom(shutSide === 'left' ? ring.toReversed() : ring, at)
        const before = narrow === 'once' ? lanes.map(({ line }) => line) : []
        for (const line of walkedOnce(whole, before, (ONE_LANE - 1) * width, width))
          add(lanes, line, i === 0 ? 'edge' : 'lap')
      }
    for (const piece of slivers)
      for (const line of innerLanes(piece, lengthways(piece), sliverWidth, 'edge', at))
        add(lanes, line, 'inner')
    const left = new Set(inner)
    while (left.size > 0) {
      const next = nearest([...left], at)
      left.delete(next)
      for (const line of innerLanes(next, along, width, ends, at)) add(lanes, line, 'inner')
    }
    return { direction: along, lanes }
  })
  const whole = sumOf(walked, ({ lanes }) => sumOf(lanes, ({ length }) => length))
  const turns = Math.max(0, number - 1)
  return { passes: walked, distance: whole, turns, seconds: whole / speed + turns * turn, between }
}

/** Whether any lane runs along the direction of its pass: laps and narrow ground do not ask for one. */
export const hasDirection = ({ passes }: Pick<LanePlan, 'passes'>): boolean =>
  passes.some(({ direction, lanes }) =>
    lanes.some(({ header, line: [[x, y] = [0, 0], [u, v] = [0, 0]] }) => {
      const turn = (Math.atan2(u - x, v - y) * 180) / Math.PI - direction
      return !header && Math.abs(Math.sin((turn * Math.PI) / 180)) < ALONG
    }),
  )
const ALONG = 1e-3

/** The edge first, then round the beds, always on to the nearest by its middle. */
function inTurn(rings: readonly Ring[], begin: Point): readonly Ring[] {
  const middles = new Map(rings.map((ring) => [ring, centroid(ring)]))
  const areas = new Map(rings.map((ring) => [ring, ringArea(ring)]))
  const left = rings.toSorted((a, b) => (areas.get(b) ?? 0) - (areas.get(a) ?? 0))
  const turn: Ring[] = []
  let at = begin
  for (let next = left.shift(); next; next = left.shift()) {
    turn.push(next)
    at = next === turn[0] ? begin : (middles.get(next) ?? at)
    const far = left.map((ring) => nearestCorner([middles.get(ring) ?? begin], at).square)
    const nearestAt = far.indexOf(Math.min(...far))
    if (nearestAt > 0) left.unshift(...left.splice(nearestAt, 1))
  }
  return turn
}

/** A lap begins at the corner that is nearest, and ends there. */
function lapFrom(ring: Ring, at: Point): readonly Point[] {
  const first = nearestCorner(ring, at).index
  const turned = [...ring.slice(first), ...ring.slice(0, first)]
  return [...turned, turned[0]!]
}

/** By the square of the way to its nearest corner: many are asked. */
const nearest = (polygons: readonly Polygon[], at: Point): Polygon =>
  polygons.reduce((a, b) => (nearTo(b, at) < nearTo(a, at) ? b : a))
const nearTo = ([outline = []]: Polygon, at: Point): number => nearestCorner(outline, at).square

function nearestCorner(ring: Ring, [x, y]: Point): { readonly index: number; readonly square: number } {
  let index = 0
  let least = Number.POSITIVE_INFINITY
  for (let i = 0; i < ring.length; i++) {
    const [u, v] = ring[i]!
    const square = (u - x) * (u - x) + (v - y) * (v - y)
    if (square >= least) continue
    least = square
    index = i
  }
  return { index, square: least }
}

const lengthOf = (line: readonly Point[]): number =>
  line.slice(1).reduce((sum, point, i) => sum + distance(line[i]!, point), 0)

/** Along the longest side of what is narrow. */
function lengthways([outline = []]: Polygon): number {
  const [longest] = sideDirections(outline)
  return longest ?? 0
}

function sideDirections(ring: Ring): readonly number[] {
  return ring
    .map((corner, i) => ({ from: corner, to: ring[(i + 1) % ring.length]! }))
    .toSorted((a, b) => distance(b.from, b.to) - distance(a.from, a.to))
    .map(({ from: [x, y], to: [u, v] }) => {
      const degrees = (Math.atan2(u - x, v - y) * 180) / Math.PI
      return (((Math.round(degrees * 100) / 100) % 180) + 180) % 180
    })
}

/** The axes of the plan, and the quickest few of the others by the number and length of their lanes. */
function directionsOf(
  { ground, width, passes, speed, turn, aim = 'quickest' }: LaneQuestion,
  rings: Polygon,
): readonly number[] {
  const axes = passes % 2 === 0 ? [0] : [0, 90]
  if (rings.length === 0) return axes
  const longest = ground.flatMap(([outline = []]) => sideDirections(outline).slice(0, SIDES_TRIED))
  // Two passes at right angles are the same two a quarter turn on.
  const period = passes % 2 === 0 ? 90 : 180
  const even = Array.from({ length: period / STEP_DEGREES }, (_, i) => i * STEP_DEGREES)
  const sides = longest.map((one) => one % period)
  const others = [...new Set([...sides, ...even])].filter((one) => !axes.includes(one))
  const quick = others.map((one) => {
    const counts = Array.from({ length: passes }, (_, pass) => laneCount(rings, one + 90 * pass, width))
    const lanes = sumOf(counts, (count) => count.lanes)
    const length = sumOf(counts, (count) => count.length)
    const costs = {
      quickest: length / speed + lanes * turn,
      'fewest turns': lanes,
      'longest runs': -length / Math.max(1, lanes),
    }
    return { one, cost: costs[aim] }
  })
  const few = quick.toSorted((a, b) => a.cost - b.cost).slice(0, LAID_OUT)
  return [...axes, ...few.map(({ one }) => one)]
}

function directionReason(
  { direction, aim = 'quickest', bearing = 0 }: LaneQuestion,
  best: Omit<LanePlan, 'reasons'>,
  plans: readonly Omit<LanePlan, 'reasons'>[],
): readonly string[] {
  const [own = 0] = best.passes.map((pass) => fromNorth(pass.direction, bearing))
  if (direction !== undefined) {
    const asked = (((direction + bearing) % 360) + 360) % 360
    return [`Direction ${sixDigits(asked)}° as it was asked for.`]
  }
  if (aim !== 'quickest')
    return [
      `Direction ${sixDigits(own)}°: the ${aim} of those that were tried, ${counted(best.turns, 'turn')}.`,
    ]
  const slowest = plans.reduce((a, b) => (b.seconds > a.seconds ? b : a))
  const more = slowest.seconds - best.seconds
  const other = fromNorth(slowest.passes[0]?.direction ?? 0, bearing)
  return [
    more > 1
      ? `Direction ${sixDigits(own)}°: ${counted(best.turns, 'turn')}, ${formatMinutes(more)} min less ` +
        `than at ${sixDigits(other)}°, the slowest that was tried.`
      : `Direction ${sixDigits(own)}°: no other that was tried is quicker.`,
  ]
}

/** No lawn is broader than half the way round it. m */
const aroundOf = (ground: readonly Polygon[]): number => sumOf(ground, ([outline = []]) => perimeter(outline))

/** A lane has two ends: its direction is told under 180. */
export const fromNorth = (direction: number, bearing: number): number =>
  Number(((((direction + bearing) % 180) + 180) % 180).toFixed(4))

function working({ width, speed, turn, bearing = 0 }: LaneQuestion, plan: LanePlan): readonly string[] {
  return [
    ...plan.passes.map(
      ({ direction, lanes }) =>
        `Direction ${sixDigits(fromNorth(direction, bearing))}°: ${counted(lanes.length, 'lane')}, at most ` +
        `${sixDigits(width)} m apart, ${sixDigits(sumOf(lanes, ({ length }) => length))} m`,
    ),
    `${sixDigits(plan.distance)} m / ${sixDigits(speed)} m/s + ${plan.turns} turns x ` +
      `${sixDigits(turn)} s = ${sixDigits(plan.seconds)} s`,
  ]
}
