import { ROUNDING } from '../quantity/tolerance'
import { DEFAULT_HOUSE, type House } from '../house'

export type Tolerance = Pick<House, 'good' | 'acceptable'>

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

const WORST_FIRST = ['off', 'acceptable', 'good'] as const

/** The worst of several, as a record is filed under; undefined where none is known. */
export const worstVerdict = (
  outcomes: readonly { readonly verdict: Verdict | undefined }[],
): Verdict | undefined => WORST_FIRST.find((verdict) => outcomes.some((one) => one.verdict === verdict))
