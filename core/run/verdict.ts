import { ROUNDING } from '../quantity/tolerance'
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

export const VERDICTS = ['good', 'acceptable', 'off', 'not certain'] as const
export type Verdict = (typeof VERDICTS)[number]

/**
 * Good, acceptable or off by the house's tolerance on the actual rate, a hair's tolerance at both; not
 * certain only where what is possible holds good and not acceptable at once. The one judge of it: run, record
 * and list ask here.
 * @param deviation actual over planned, less one
 * @param give two standard deviations of it, 0 where nobody knows
 * Source: trade.md 9.
 * @example verdictOf(-0.08, 0.04) // 4 to 12 % under: 'not certain'
 */
export function verdictOf(
  deviation: number,
  give: number,
  { good, acceptable }: Tolerance = DEFAULT_HOUSE,
): Verdict {
  const size = Math.abs(deviation)
  const [least, most] = [Math.max(0, size - give) - ROUNDING, size + give - ROUNDING]
  if (least <= good && most > acceptable && give > 0) return 'not certain'
  if (size - ROUNDING <= good) return 'good'
  return size - ROUNDING <= acceptable ? 'acceptable' : 'off'
}

const WORST_FIRST = ['off', 'not certain', 'acceptable', 'good'] as const

/** The worst of several, as a record is filed under; undefined where none is known. */
export const worstVerdict = (
  outcomes: readonly { readonly verdict?: Verdict | undefined }[],
): Verdict | undefined => WORST_FIRST.find((verdict) => outcomes.some((one) => one.verdict === verdict))

/**
 * How far from plan, as a range where it is not sure.
 * @example deviationRange(-0.13, 0.07) // '6 to 20 % under plan'
 * @example deviationRange(0.01, 0.05) // '4 % under to 6 % over plan'
 */
export function deviationRange(deviation: number, give: number): string {
  const side = deviation < 0 ? 'under' : 'over'
  if (give === 0) return deviation === 0 ? 'as planned' : `${percent(deviation)} % ${side} plan`
  const [from, to] = [deviation - give, deviation + give]
  if (from < 0 && to > 0) return `${percent(from)} % under to ${percent(to)} % over plan`
  const [least, most] = deviation < 0 ? [to, from] : [from, to]
  return percent(least) === percent(most)
    ? `${percent(most)} % ${side} plan`
    : `${percent(least)} to ${percent(most)} % ${side} plan`
}
const percent = (share: number): string => {
  const size = Math.abs(share * 100)
  return size < 10 ? String(Number(size.toFixed(1))) : size.toFixed(0)
}
