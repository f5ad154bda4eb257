import { isOver, ROUNDING } from '../quantity/tolerance'
import { DEFAULT_HOUSE, type House } from '../house'

export type Tolerance = Pick<House, 'good' | 'acceptable'>

/** What an outcome is judged by: the house's tolerance, and how sure the ground is. */
export interface Judging {
  readonly tolerance: Tolerance
  /** One standard deviation of the ground's size, as a share of it; 0: nobody knows. */
  readonly groundError: number
  /** Nobody noted what was planned: nothing is held against it. */
  readonly against?: 'nothing'
}
export const DEFAULT_JUDGING: Judging = { tolerance: DEFAULT_HOUSE, groundError: 0 }

export type Verdict = 'good' | 'acceptable' | 'off'

/**
 * Good, acceptable or off by the house's tolerance on the actual rate (trade.md 9); a hair's tolerance at
 * both.
 */
export function verdictOf(deviation: number, { good, acceptable }: Tolerance = DEFAULT_HOUSE): Verdict {
  const size = Math.abs(deviation) - ROUNDING
  if (size <= good) return 'good'
  return size <= acceptable ? 'acceptable' : 'off'
}

/**
 * Whether ground and scale are sure enough to tell the verdict: they are less sure than the house calls good,
 * and the truth might as well be of another one.
 * @param give two standard deviations of the deviation
 * Source: trade.md 9.
 */
export function canTell(deviation: number, give: number, tolerance: Tolerance = DEFAULT_HOUSE): boolean {
  if (!isOver(give, tolerance.good)) return true
  const size = Math.abs(deviation)
  return verdictOf(Math.max(0, size - give), tolerance) === verdictOf(size + give, tolerance)
}

const WORST_FIRST = ['off', 'acceptable', 'good'] as const

/** The worst of several, as a record is filed under; undefined where none is known. */
export const worstVerdict = (
  outcomes: readonly { readonly verdict?: Verdict | undefined }[],
): Verdict | undefined => WORST_FIRST.find((verdict) => outcomes.some((one) => one.verdict === verdict))
