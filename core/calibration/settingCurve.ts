import type { Figure } from '../working/figures'
import { ROUNDING } from '../quantity/tolerance'
import { err, ok, type Result } from '../result'
import { UNEVEN_RUNS, widened } from '../quantity/repeats'
import { scatterOf, type DaySpread } from './dayScatter'
import type { SettingPoint } from './settingPoint'
import { sumOf } from '../quantity/counting'
import { sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'

/** One distinct setting: its points' weighted mean flow and what spread they had. */
interface SettingMean {
  readonly setting: number
  readonly flow: number
  readonly points: number
  /** How much each point counts in it; they add up to one. */
  readonly shares: readonly PointShare[]
}
interface PointShare {
  readonly age: number
  readonly shared: number
  readonly share: number
}

export interface SettingCurve {
  readonly means: readonly SettingMean[]
  /** Slopes of the curve at the means, kg/s per mark. */
  readonly slopes: readonly number[]
  /**
   * Spread of the runs of one day at one setting, as a share; 0 where it can't be told from that of the days,
   * undefined without repeats.
   */
  readonly spread: number | undefined
  /** How many differences that spread is known from. */
  readonly freedom: number
  readonly days: DaySpread
  /** Neighbouring settings where more open lets less through. */
  readonly impossible: readonly (readonly [number, number])[]
}

/** A calibration's weight halves in so many days (house default, the age at which it counts as stale). */
const HALF_LIFE_DAYS = 60
/** How far beyond the tested settings an answer is still given, as a share of their range. */
export const MARGIN = 0.1
/**
 * Half the flow is near two thirds of the setting on an untried spreader (trade.md 3): flow grows with the
 * setting to this power.
 */
export const UNTRIED_POWER = Math.log(1 / 2) / Math.log(2 / 3)

/** Settings this near to each other are one mark of the dial. */
const SAME_SETTING = 1e-6

/**
 * Flow against setting through the means of all calibrations of one spreader with one product.
 * Source: shape-preserving cubic interpolation (Fritsch and Carlson 1980; slopes as harmonic means): never
 * above or below its neighbours.
 */
export function settingCurve(points: readonly SettingPoint[]): SettingCurve {
  const apart = meansOf(points)
  const { spread, freedom, days } = scatterOf(points)
  // Runs that can't be told from days differ by what both do.
  const means = pooled(apart, spread === undefined ? UNEVEN_RUNS : spread === 0 ? days.spread : spread)
  const steps = means
    .slice(1)
    .map(({ setting, flow }, i) => (flow - means[i]!.flow) / (setting - means[i]!.setting))
  return {
    means,
    slopes: slopesOf(means, steps),
    spread,
    freedom,
    days,
    impossible: means
      .slice(1)
      .flatMap(({ setting, flow }, i) =>
        flow < means[i]!.flow ? [[means[i]!.setting, setting] as const] : [],
      ),
  }
}

const weightOf = ({ age }: SettingPoint) => 2 ** (-Math.max(0, age) / HALF_LIFE_DAYS)

function meansOf(points: readonly SettingPoint[]): readonly SettingMean[] {
  const sorted = points.toSorted((a, b) => a.setting - b.setting)
  const means: SettingMean[] = []
  for (let i = 0; i < sorted.length;) {
    let [weights, sum, next] = [0, 0, i]
    for (; next < sorted.length && sorted[next]!.setting - sorted[i]!.setting <= SAME_SETTING; next++) {
      const weight = weightOf(sorted[next]!)
      weights += weight
      sum += weight * sorted[next]!.flow
    }
    const shares = sorted.slice(i, next).map((point) => ({
      age: point.age,
      shared: point.shared ?? 0,
      share: weightOf(point) / weights,
    }))
    means.push({ setting: sorted[i]!.setting, flow: sum / weights, points: next - i, shares })
    i = next
  }
  return means
}

/**
 * Neighbours of which the more open one lets less through, but by no more than runs differ anyway, are one
 * flow: their mean by points. Source: pool-adjacent-violators.
 */
function pooled(means: readonly SettingMean[], spread: number): readonly SettingMean[] {
  const flows = means.map(({ flow, points }) => ({ flow, points, count: 1 }))
  for (let i = 0; i + 1 < flows.length;) {
    const [one, next] = [flows[i]!, flows[i + 1]!]
    if (next.flow >= one.flow || one.flow - next.flow > WITHIN_SPREAD * spread * one.flow) {
      i += 1
      continue
    }
    const points = one.points + next.points
    const flow = (one.flow * one.points + next.flow * next.points) / points
    flows.splice(i, 2, { flow, points, count: one.count + next.count })
    i = Math.max(0, i - 1)
  }
  const each = flows.flatMap(({ flow, count }) => Array.from({ length: count }, () => flow))
  return means.map((mean, i) => ({ ...mean, flow: each[i] ?? mean.flow }))
}
/** Two means whose difference is under so many spreads can't be told apart. */
const WITHIN_SPREAD = 2

/**
 * One standard deviation of a flow read off the curve at a setting, as a share; two of it hold today's flow
 * 95 times of a hundred, for today is a day of its own.
 * @returns undefined without repeats
 * Source: today's day and those that weigh there, what their courses share, and the runs; Student's t of
 *   the differences all that is known from (Satterthwaite 1946).
 */
function doubtAt({ means, spread, freedom, days }: SettingCurve, setting: number): number | undefined {
  if (spread === undefined) return undefined
  const points = weighingAt(means, setting)
  const byDay = new Map<number, { share: number; shared: number }>()
  for (const { age, shared, share } of points) {
    const day = byDay.get(age) ?? { share: 0, shared: 0 }
    byDay.set(age, { share: day.share + share, shared: day.shared + share * shared })
  }
  const ofDays = days.spread ** 2 * (1 + sumOf([...byDay.values()], ({ share }) => share ** 2))
  const ofRuns = spread ** 2 * sumOf(points, ({ share }) => share ** 2)
  const variance = ofDays + ofRuns
  const unsure =
    (days.freedom === undefined ? 0 : ofDays ** 2 / days.freedom) +
    (freedom === 0 ? 0 : ofRuns ** 2 / freedom)
  const runsAndDays =
    unsure > 0
      ? widened(Math.sqrt(variance), Math.max(1, Math.floor(variance ** 2 / unsure)))
      : Math.sqrt(variance)
  return Math.hypot(runsAndDays, ...[...byDay.values()].map(({ shared }) => shared))
}

/** The points that make the curve at a setting: those of the means on either side, by how near they are. */
function weighingAt(means: readonly SettingMean[], setting: number): readonly PointShare[] {
  const after = means.findIndex((mean) => mean.setting >= setting)
  const [left, right] = [means[after < 0 ? means.length - 1 : Math.max(0, after - 1)], means[after]]
  if (!left || !right || left === right) return (right ?? left)?.shares ?? []
  const near = (setting - left.setting) / (right.setting - left.setting)
  const weighed = ({ shares }: SettingMean, by: number) =>
    shares.map((one) => ({ ...one, share: one.share * by }))
  return [...weighed(left, 1 - near), ...weighed(right, near)]
}

function slopesOf(means: readonly SettingMean[], steps: readonly number[]): readonly number[] {
  return means.map((_, i) => {
    const [before, after] = [steps[i - 1], steps[i]]
    if (before === undefined) return after ?? 0
    if (after === undefined) return before
    if (before * after <= 0) return 0
    const [h0, h1] = [means[i]!.setting - means[i - 1]!.setting, means[i + 1]!.setting - means[i]!.setting]
    const [w0, w1] = [2 * h1 + h0, h1 + 2 * h0]
    return (w0 + w1) / (w0 / before + w1 / after)
  })
}

/** How an answer stands to what was tested. */
export type Reach = 'tested' | 'margin' | 'guess'
export interface CurveAnswer {
  readonly setting: number
  /** kg/s. */
  readonly flow: number
  readonly reach: Reach
  /** One standard deviation of the flow, as a share; undefined without repeats. */
  readonly doubt: number | undefined
}

/**
 * `noPoints`: nothing is calibrated. `outside`: beyond the tested settings and their margin, with what they
 * reach. `impossible`: the curve turns back between two settings.
 */
export type CurveError =
  | { readonly kind: 'noPoints' }
  | {
      readonly kind: 'outside'
      readonly least: { readonly setting: number; readonly flow: number }
      readonly most: { readonly setting: number; readonly flow: number }
    }
  | { readonly kind: 'impossible'; readonly between: readonly [number, number] }

/** Flow at a setting, kg/s. One tested setting gives a guess and calls it one. */
export function flowAt(curve: SettingCurve, setting: number): Result<CurveAnswer, CurveError> {
  const usable = usableEnds(curve)
  if (!usable.ok) return usable
  const { first, last } = usable.value
  // Nobody knows which of the two is wrong; what lies beyond an end that turns back goes on turning back.
  const turned = curve.impossible.find(
    ([from, to]) => (setting >= from || from === first.setting) && (setting <= to || to === last.setting),
  )
  if (turned) return err({ kind: 'impossible', between: turned })
  if (curve.means.length === 1)
    return ok({
      setting,
      flow: first.flow * (setting / first.setting) ** UNTRIED_POWER,
      reach: Math.abs(setting - first.setting) <= SAME_SETTING ? 'tested' : 'guess',
      doubt: doubtAt(curve, setting),
    })
  const margin = (last.setting - first.setting) * MARGIN
  if (setting < first.setting - margin || setting > last.setting + margin)
    return err({ kind: 'outside', least: first, most: last })
  return ok({
    setting,
    flow: Math.max(0, hermite(curve, setting)),
    reach:
      setting < first.setting - SAME_SETTING || setting > last.setting + SAME_SETTING ? 'margin' : 'tested',
    doubt: doubtAt(curve, setting),
  })
}

/** The setting that gives a flow: the curve asked the other way round. @param wanted kg/s */
export function settingFor(
  curve: SettingCurve,
  wanted: number,
  figure: Figure,
  book: WorkingBook,
): Result<CurveAnswer, CurveError> {
  const usable = usableEnds(curve)
  if (!usable.ok) return usable
  const { first, last } = usable.value
  const answer = curve.means.length === 1 ? guessed(first, wanted, curve) : solved(curve, wanted, first, last)
  if (answer.ok) {
    book.note(figure, () => [
      ...curve.means.map(
        ({ setting, flow, points }) =>
          `setting ${sixDigits(setting)}: ${sixDigits(1000 * flow)} g/s, mean of ${points}`,
      ),
      `wanted ${sixDigits(1000 * wanted)} g/s`,
      answer.value.reach === 'guess'
        ? 'one tested setting: a guess, half the flow near two thirds of the setting'
        : 'monotone curve through the means, asked the other way round',
      ...(curve.spread === undefined || answer.value.doubt === undefined
        ? []
        : [
            `runs of one day spread by ${sixDigits(100 * curve.spread)} % (${curve.freedom} degrees of ` +
              'freedom)',
            curve.days.freedom === undefined
              ? `one day was tested: ${sixDigits(100 * curve.days.spread)} % between days is taken`
              : `days spread by ${sixDigits(100 * curve.days.spread)} %, as ${curve.days.count} days and ` +
                'what is usual say',
            `with today's own day and the course ${sixDigits(200 * answer.value.doubt)} % either way`,
          ]),
      `setting ${sixDigits(answer.value.setting)}`,
    ])
  }
  return answer
}

function usableEnds({
  means,
}: SettingCurve): Result<{ readonly first: SettingMean; readonly last: SettingMean }, CurveError> {
  const [first, last] = [means[0], means.at(-1)]
  return first && last ? ok({ first, last }) : err({ kind: 'noPoints' })
}

const guessed = (point: SettingMean, wanted: number, curve: SettingCurve): Result<CurveAnswer, CurveError> =>
  ok({
    setting: point.setting * (wanted / point.flow) ** (1 / UNTRIED_POWER),
    flow: wanted,
    reach: Math.abs(wanted / point.flow - 1) < ROUNDING ? 'tested' : 'guess',
    doubt: doubtAt(curve, point.setting),
  })

const ROUNDS = 60

/** A stretch of settings over which the curve rises. */
interface Rise {
  readonly from: number
  readonly to: number
}

/** The settings tested and their margin, apart where more open lets less through. */
function risesOf(
  { means, impossible }: SettingCurve,
  first: SettingMean,
  last: SettingMean,
): readonly Rise[] {
  const margin = (last.setting - first.setting) * MARGIN
  const rises: Rise[] = []
  let from = first.setting - margin
  for (const [before, after] of impossible) {
    rises.push({ from, to: before })
    from = after
  }
  return means.length === 0 ? [] : [...rises, { from, to: last.setting + margin }]
}

/**
 * Where the curve gives a flow. Where it turns back, a flow that lies between the two settings could be
 * either of several and is refused; everywhere else there is one answer.
 */
function solved(
  curve: SettingCurve,
  wanted: number,
  first: SettingMean,
  last: SettingMean,
): Result<CurveAnswer, CurveError> {
  const flowOf = (setting: number) => curve.means.find((mean) => mean.setting === setting)?.flow ?? 0
  const turned = curve.impossible.find(([from, to]) => wanted <= flowOf(from) && wanted >= flowOf(to))
  if (turned) return err({ kind: 'impossible', between: turned })
  const rise = risesOf(curve, first, last).find(
    ({ from, to }) => wanted >= hermite(curve, from) && wanted <= hermite(curve, to),
  )
  if (!rise) return err({ kind: 'outside', least: first, most: last })
  const flat = curve.means.find(({ flow }) => flow === wanted)
  const setting = flat ? flat.setting : lowestIn(curve, wanted, rise)
  return ok({
    setting,
    flow: wanted,
    reach:
      setting < first.setting - SAME_SETTING || setting > last.setting + SAME_SETTING ? 'margin' : 'tested',
    doubt: doubtAt(curve, setting),
  })
}

/** Halves a rise until it is known where it gives a flow. */
function lowestIn(curve: SettingCurve, wanted: number, { from, to }: Rise): number {
  let [low, high] = [from, to]
  for (let round = 0; round < ROUNDS; round++) {
    const middle = (low + high) / 2
    if (hermite(curve, middle) < wanted) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** The curve itself; beyond its ends a straight line with the slope there. */
function hermite({ means, slopes }: SettingCurve, setting: number): number {
  const last = means.length - 1
  if (setting <= means[0]!.setting) return means[0]!.flow + slopes[0]! * (setting - means[0]!.setting)
  if (setting >= means[last]!.setting)
    return means[last]!.flow + slopes[last]! * (setting - means[last]!.setting)
  let [low, high] = [0, last]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (means[middle]!.setting <= setting) low = middle
    else high = middle
  }
  const [a, b] = [means[low]!, means[high]!]
  const h = b.setting - a.setting
  const t = (setting - a.setting) / h
  const [t2, t3] = [t * t, t * t * t]
  return (
    a.flow * (2 * t3 - 3 * t2 + 1) +
    h * slopes[low]! * (t3 - 2 * t2 + t) +
    b.flow * (3 * t2 - 2 * t3) +
    h * slopes[high]! * (t3 - t2)
  )
}
