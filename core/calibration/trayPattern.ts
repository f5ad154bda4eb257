import type { Figure } from '../working/figures'
import { err, ok, type Result } from '../result'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'

/**
 * How neighbouring lanes are driven: all the same way, or turned at each end so that every second lane is
 * mirrored.
 */
export const TRAVELS = ['one-way', 'back-and-forth'] as const
export type Travel = (typeof TRAVELS)[number]

/**
 * Equal trays at equal spacing across the throw, left to right as seen by the walker; catches of all passes
 * together, in any one unit.
 */
export interface TrayTest {
  readonly catches: readonly number[]
  /** Middle of one tray to the middle of the next, m. */
  readonly spacing: number
  /** Which tray the middle of the spreader went over, counted from 0; the middle one if not said. */
  readonly centre?: number
}

/** `tooFewTrays`, `nothingCaught`: there is no pattern to look at. */
export type PatternError = { readonly kind: 'tooFewTrays' | 'nothingCaught' }

/**
 * Where product lands across the throw: places in m from the walker's line, right positive, and deposits in
 * the unit of the catches.
 */
export interface DepositProfile {
  readonly places: readonly number[]
  readonly deposits: readonly number[]
  readonly spacing: number
}

/** Fewer trays than this show no shape worth a swath; the bench asks for them. */
export const FEWEST_TRAYS = 5
/** With fewer there is nothing between them to draw. */
const FEWEST_PLACES = 2

export function depositProfile({
  catches,
  spacing,
  centre = (catches.length - 1) / 2,
}: TrayTest): Result<DepositProfile, PatternError> {
  if (catches.length < FEWEST_PLACES) return err({ kind: 'tooFewTrays' })
  if (!(Math.max(...catches) > 0)) return err({ kind: 'nothingCaught' })
  return ok({ places: catches.map((_, i) => (i - centre) * spacing), deposits: catches, spacing })
}

/**
 * A profile laid out for reading at many places: nothing beyond either end, so that no step needs to ask
 * where it is.
 */
interface Strip {
  readonly deposits: Float64Array
  readonly begin: number
  readonly reach: number
  readonly spacing: number
}

function stripOf({ places, deposits, spacing }: DepositProfile): Strip {
  const padded = new Float64Array(deposits.length + 3)
  padded.set(deposits, 1)
  return {
    deposits: padded,
    begin: places[0]! - spacing,
    reach: Math.max(-places[0]!, places.at(-1)!) + spacing,
    spacing,
  }
}

/** Straight between trays, and falling to nothing within one spacing beyond the last. */
function readStrip({ deposits, begin, spacing }: Strip, place: number): number {
  const at = (place - begin) / spacing
  if (!(at >= 0 && at < deposits.length - 2)) return 0
  const i = Math.floor(at)
  return deposits[i]! + (deposits[i + 1]! - deposits[i]!) * (at - i)
}

/** Deposit of one lane at a place. */
export const depositAt = (profile: DepositProfile, place: number): number =>
  readStrip(stripOf(profile), place)

/** Copies of the strip, every second one mirrored when driven back and forth. */
function layered(strip: Strip, lane: number, travel: Travel, place: number): number {
  let sum = 0
  const last = Math.floor((place + strip.reach) / lane)
  for (let k = Math.ceil((place - strip.reach) / lane); k <= last; k++) {
    const off = place - k * lane
    sum += readStrip(strip, travel === 'back-and-forth' && k % 2 !== 0 ? -off : off)
  }
  return sum
}

/** Ground rate at a place when lanes lie so far apart. @param lane m between lanes */
export const groundRateAt = (profile: DepositProfile, lane: number, travel: Travel, place: number): number =>
  layered(stripOf(profile), lane, travel, place)

/**
 * Mean and evenness of the ground rate across one period of the lanes, exactly: it runs straight from knot to
 * knot, and the knots are the trays' middles of every copy. Driven back and forth the period is two lanes,
 * but between the middles of the gaps on either side of a lane it holds all there is: the other half is its
 * mirror.
 * @param lane m between lanes
 * Source: trade.md 3, pattern test; integral of the square of a straight stretch, h (a a + a b + b b) / 3.
 */
export const evenness = (profile: DepositProfile, lane: number, travel: Travel): Evenness =>
  evennessOf(stripOf(profile), lane, travel)

export interface Evenness {
  readonly mean: number
  /** Standard deviation over mean. */
  readonly cv: number
}

function evennessOf(strip: Strip, lane: number, travel: Travel): Evenness {
  const start = travel === 'back-and-forth' ? lane / 2 : 0
  const knots = knotsBetween(strip, lane, travel, start)
  const rates = knots.map((knot) => layered(strip, lane, travel, knot))
  const stretches = (add: (before: number, after: number) => number): number => {
    let sum = 0
    for (let i = 1; i < knots.length; i++) sum += (knots[i]! - knots[i - 1]!) * add(rates[i - 1]!, rates[i]!)
    return sum / lane
  }
  const mean = stretches((before, after) => (before + after) / 2)
  // About the mean: the square of an even pattern less the square of its mean would be rounding alone.
  const square = stretches((before, after) => {
    const [a, b] = [before - mean, after - mean]
    return (a * a + a * b + b * b) / 3
  })
  return { mean, cv: Math.sqrt(square) / mean }
}

/** Where the overlapped profile bends within one lane from a start, sorted, both ends with it. */
function knotsBetween(strip: Strip, lane: number, travel: Travel, start: number): Float64Array {
  const { deposits, begin, spacing } = strip
  const count = deposits.length - 1
  const mirrored = travel === 'back-and-forth'
  const knots = new Float64Array((mirrored ? 2 : 1) * count + 2)
  const period = mirrored ? 2 * lane : lane
  let found = 0
  const put = (place: number) => {
    const within = place - start - Math.floor((place - start) / period) * period
    if (within < lane) knots[found++] = start + within
  }
  for (let i = 0; i < count; i++) {
    const place = begin + i * spacing
    put(place)
    if (mirrored) put(lane - place)
  }
  knots[found++] = start
  knots[found++] = start + lane
  return knots.subarray(0, found).sort()
}

/** Evenness at a lane spacing: standard deviation over mean of the ground rate across one period. */
export const variation = (profile: DepositProfile, lane: number, travel: Travel): number =>
  evenness(profile, lane, travel).cv

/** CV limits of a field test, as shares (trade.md 3). */
export const CV_LIMIT = { broadcast: 0.2, drop: 0.15 } as const

/**
 * Lane spacings looked at between two trays (lanes nearer than that are no lanes, and any pattern is even at
 * one) and the whole throw.
 */
const STEPS = 400

/** The whole throw that the trays cover, each for its own spacing, m. */
export const throwOf = ({ places, spacing }: DepositProfile): number =>
  (places.at(-1) ?? 0) - (places[0] ?? 0) + spacing

/** Whether the outermost trays still caught something: then the throw goes on where the trays end. */
export const trayEdges = ({ deposits }: DepositProfile): 'ended' | 'whole' =>
  (deposits[0] ?? 0) > 0 || (deposits.at(-1) ?? 0) > 0 ? 'ended' : 'whole'

/** CV at many lane spacings, for the picture and the swath. */
export function variationCurve(
  profile: DepositProfile,
  travel: Travel,
  steps = STEPS,
): readonly { readonly lane: number; readonly cv: number }[] {
  const throwWidth = throwOf(profile)
  const narrowest = 2 * profile.spacing
  const strip = stripOf(profile)
  return Array.from({ length: steps }, (_, i) => {
    const lane = narrowest + ((throwWidth - narrowest) * i) / (steps - 1)
    return { lane, cv: evennessOf(strip, lane, travel).cv }
  })
}

export interface Swath {
  /** The widest lane spacing within the limit, m; undefined when none is. */
  readonly swath: number | undefined
  readonly cv: number | undefined
  readonly curve: readonly { readonly lane: number; readonly cv: number }[]
}

/** The swath is found to this, m. */
const SWATH_STEP = 1e-6

/**
 * The effective swath: the widest lane spacing whose CV is within the limit, and within it at all narrower
 * ones down to the first that is; for the way lanes are driven.
 * @param limit as a share
 */
export function effectiveSwath(
  profile: DepositProfile,
  travel: Travel,
  limit: number,
  figure: Figure,
  book: WorkingBook,
): Swath {
  const curve = variationCurve(profile, travel)
  const first = curve.findIndex(({ cv }) => cv <= limit)
  const beyond = first < 0 ? -1 : curve.findIndex(({ cv }, i) => i > first && cv > limit)
  const last = curve[(beyond < 0 ? curve.length : beyond) - 1]
  const swath =
    first < 0 ? undefined : beyond < 0 ? last?.lane : lastWithin(profile, travel, limit, curve, beyond)
  const cv = swath === undefined ? undefined : variation(profile, swath, travel)
  book.note(figure, () => [
    `${profile.deposits.length} trays every ${sixDigits(profile.spacing)} m, copies of their pattern ` +
      `laid ${travel}`,
    `evenness looked at for ${curve.length} lane spacings from ${sixDigits(curve[0]?.lane ?? 0)} to ` +
      `${sixDigits(curve.at(-1)?.lane ?? 0)} m`,
    swath === undefined || cv === undefined
      ? `no spacing stays within ${sixDigits(100 * limit)} %`
      : `at ${sixDigits(swath)} m the CV is ${sixDigits(100 * cv)} %, the widest within ` +
        `${sixDigits(100 * limit)} %`,
    swath === undefined ? 'no effective swath' : `effective swath ${sixDigits(swath)} m`,
  ])
  return { swath, cv, curve }
}

/** Between the last spacing within the limit and the first beyond it, halved until it is known. */
function lastWithin(
  profile: DepositProfile,
  travel: Travel,
  limit: number,
  curve: Swath['curve'],
  beyond: number,
): number {
  const strip = stripOf(profile)
  let [within, outside] = [curve[beyond - 1]!.lane, curve[beyond]!.lane]
  while (outside - within > SWATH_STEP) {
    const middle = (within + outside) / 2
    if (evennessOf(strip, middle, travel).cv <= limit) within = middle
    else outside = middle
  }
  return within
}

/**
 * Width between the places where the catch falls to half of what the walker's line gets, m; undefined when a
 * side never falls so far within the trays.
 */
export function halfRateWidth(
  profile: DepositProfile,
  figure: Figure = '',
  book: WorkingBook = closedWorkingBook,
): number | undefined {
  const half = depositAt(profile, 0) / 2
  const side = (direction: 1 | -1): number | undefined => {
    const trays = profile.places
      .map((place) => direction * place)
      .filter((place) => place > 0)
      .toSorted((a, b) => a - b)
    let [off, before] = [0, 2 * half]
    for (const next of trays) {
      const here = depositAt(profile, direction * next)
      if (here <= half) return off + ((next - off) * (before - half)) / (before - here)
      off = next
      before = here
    }
    return undefined
  }
  const [left, right] = [side(-1), side(1)]
  if (!(half > 0) || left === undefined || right === undefined) return undefined
  book.note(figure, () => [
    `the walker's line caught ${sixDigits(2 * half)}, half of it is ${sixDigits(half)}`,
    `the catch falls to it ${sixDigits(left)} m to the left and ${sixDigits(right)} m to the right`,
    `half-rate width = ${sixDigits(left + right)} m`,
  ])
  return left + right
}

/**
 * Share by which one side gets more than the other: (right - left) / both. From this on it is worth adjusting
 * (house default).
 */
const SKEWED = 0.1
export function skew({ places, deposits }: DepositProfile): {
  readonly share: number
  readonly side: 'even' | 'left' | 'right'
} {
  const sum = (wanted: (place: number) => boolean) =>
    deposits.reduce((total, deposit, i) => total + (wanted(places[i] ?? 0) ? deposit : 0), 0)
  const [left, right] = [sum((place) => place < 0), sum((place) => place > 0)]
  const share = left + right === 0 ? 0 : (right - left) / (left + right)
  return { share, side: Math.abs(share) <= SKEWED ? 'even' : share > 0 ? 'right' : 'left' }
}
