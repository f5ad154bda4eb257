import { err, ok, type Result } from '../result'
import { sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'

/** How neighbouring lanes are driven: all the same way, or turned at each end so that every second lane is mirrored. */
export const TRAVELS = ['one-way', 'back-and-forth'] as const
export type Travel = (typeof TRAVELS)[number]

/** Equal trays at equal spacing across the throw, left to right as seen by the walker; catches of all passes together, in any one unit. */
export interface TrayTest {
  readonly catches: readonly number[]
  /** Middle of one tray to the middle of the next, m. */
  readonly spacing: number
  /** Which tray the middle of the spreader went over, counted from 0; the middle one if not said. */
  readonly centre?: number
}

/** `tooFewTrays`, `nothingCaught`: there is no pattern to look at. */
export type PatternError = { readonly kind: 'tooFewTrays' | 'nothingCaught' }

/** Where product lands across the throw: places in m from the walker's line, right positive, and deposits in the unit of the catches. */
export interface DepositProfile {
  readonly places: readonly number[]
  readonly deposits: readonly number[]
  readonly spacing: number
}

/** Fewer trays than this show no shape. */
export const FEWEST_TRAYS = 5

export function depositProfile({ catches, spacing, centre = (catches.length - 1) / 2 }: TrayTest): Result<DepositProfile, PatternError> {
  if (catches.length < FEWEST_TRAYS) return err({ kind: 'tooFewTrays' })
  if (!(Math.max(...catches) > 0)) return err({ kind: 'nothingCaught' })
  return ok({ places: catches.map((_, i) => (i - centre) * spacing), deposits: catches, spacing })
}

/** Deposit at a place: straight between trays, and falling to nothing within one spacing beyond the last. */
export function depositAt({ places, deposits, spacing }: DepositProfile, place: number): number {
  const at = (place - (places[0] ?? 0)) / spacing
  const i = Math.floor(at)
  const left = i >= 0 ? deposits[i] ?? 0 : 0
  const right = i + 1 >= 0 ? deposits[i + 1] ?? 0 : 0
  return left + (right - left) * (at - i)
}

/** Places looked at across one period of the lanes. */
const LOOKS = 80

/** Ground rate across one period when lanes lie so far apart: copies of the profile, summed. @param lane m between lanes */
export function overlapped(profile: DepositProfile, lane: number, travel: Travel): { readonly places: readonly number[]; readonly rates: readonly number[] } {
  const { places: trays, spacing } = profile
  const reach = Math.max(-(trays[0] ?? 0), trays.at(-1) ?? 0) + spacing
  const period = travel === 'one-way' ? lane : 2 * lane
  const count = travel === 'one-way' ? LOOKS : 2 * LOOKS
  const places = Array.from({ length: count }, (_, i) => ((i + 0.5) * period) / count)
  const first = -Math.ceil(reach / lane) - 2
  const rates = places.map((place) => {
    let sum = 0
    for (let k = first; k <= -first; k++) {
      const off = place - k * lane
      if (off < -reach || off > reach) continue
      sum += depositAt(profile, travel === 'back-and-forth' && k % 2 !== 0 ? -off : off)
    }
    return sum
  })
  return { places, rates }
}

/** Evenness at a lane spacing: standard deviation over mean of the ground rate across one period. Source: trade.md 3, pattern test. */
export function variation(profile: DepositProfile, lane: number, travel: Travel): number {
  const { rates } = overlapped(profile, lane, travel)
  const mean = rates.reduce((sum, rate) => sum + rate, 0) / rates.length
  const squares = rates.reduce((sum, rate) => sum + (rate - mean) ** 2, 0)
  return Math.sqrt(squares / rates.length) / mean
}

/** CV limits of a field test, as shares (trade.md 3). */
export const CV_LIMIT = { broadcast: 0.2, drop: 0.15 } as const

/** Lane spacings looked at between two trays (lanes nearer than that are no lanes, and any pattern is even at one) and the whole throw. */
const STEPS = 400

/** CV at many lane spacings, for the picture and the swath. */
export function variationCurve(profile: DepositProfile, travel: Travel, steps = STEPS): readonly { readonly lane: number; readonly cv: number }[] {
  const throwWidth = (profile.places.at(-1) ?? 0) - (profile.places[0] ?? 0) + profile.spacing
  const narrowest = 2 * profile.spacing
  return Array.from({ length: steps }, (_, i) => {
    const lane = narrowest + ((throwWidth - narrowest) * i) / (steps - 1)
    return { lane, cv: variation(profile, lane, travel) }
  })
}

export interface Swath {
  /** The widest lane spacing within the limit, m; undefined when none is. */
  readonly swath: number | undefined
  readonly cv: number | undefined
  readonly curve: readonly { readonly lane: number; readonly cv: number }[]
}

/** The effective swath: the widest lane spacing whose CV stays within the limit, for the way lanes are driven. */
export function effectiveSwath(profile: DepositProfile, travel: Travel, limit: number, figure: string, book: WorkingBook): Swath {
  const curve = variationCurve(profile, travel)
  const widest = curve.findLast(({ cv }) => cv <= limit)
  book.note(figure, () => [
    `${profile.deposits.length} trays every ${sixDigits(profile.spacing)} m, copies of their pattern laid ${travel}`,
    `evenness looked at for ${curve.length} lane spacings from ${sixDigits(curve[0]?.lane ?? 0)} to ${sixDigits(curve.at(-1)?.lane ?? 0)} m`,
    widest ? `at ${sixDigits(widest.lane)} m the CV is ${sixDigits(100 * widest.cv)} %, the widest within ${sixDigits(100 * limit)} %` : `no spacing stays within ${sixDigits(100 * limit)} %`,
    widest ? `effective swath ${sixDigits(widest.lane)} m` : 'no effective swath',
  ])
  return { swath: widest?.lane, cv: widest?.cv, curve }
}

/** Width between the places where the catch falls to half of what the walker's line gets, m; undefined when a side never falls so far within the trays. */
export function halfRateWidth(profile: DepositProfile): number | undefined {
  const half = depositAt(profile, 0) / 2
  const side = (direction: 1 | -1): number | undefined => {
    const reach = (direction === 1 ? profile.places.at(-1) ?? 0 : -(profile.places[0] ?? 0)) + profile.spacing
    const step = profile.spacing / 50
    for (let off = step; off <= reach; off += step) if (depositAt(profile, direction * off) <= half) return off
    return undefined
  }
  const [left, right] = [side(-1), side(1)]
  return half > 0 && left !== undefined && right !== undefined ? left + right : undefined
}

/** Share by which one side gets more than the other: (right - left) / both. From this on it is worth adjusting (house default). */
export const SKEWED = 0.1
export function skew({ places, deposits }: DepositProfile): { readonly share: number; readonly side: 'even' | 'left' | 'right' } {
  const sum = (wanted: (place: number) => boolean) => deposits.reduce((total, deposit, i) => total + (wanted(places[i] ?? 0) ? deposit : 0), 0)
  const [left, right] = [sum((place) => place < 0), sum((place) => place > 0)]
  const share = left + right === 0 ? 0 : (right - left) / (left + right)
  return { share, side: Math.abs(share) <= SKEWED ? 'even' : share > 0 ? 'right' : 'left' }
}
