import { formatMinutes } from '../../quantity/format'
import type { ToldCoverage } from './workOutCoverage'

/** One set-up as it is weighed against another. */
export interface WeighedSetUp {
  readonly words: string
  readonly told: Pick<ToldCoverage, 'figures' | 'overMost'>
  /** On foot, s. */
  readonly seconds: number
}

export interface SetUpVerdict {
  readonly better: 'a' | 'b' | 'same'
  readonly sentence: string
}

/** Lawns whose spoiled shares differ by less look alike. */
const ALIKE = 0.01

/**
 * Which of two set-ups is better and why: the one that goes over the label's most on less of the lawn, then
 * the one that leaves less of it under 80 % and over 120 %, then the quicker.
 */
export function compareSetUps(a: WeighedSetUp, b: WeighedSetUp): SetUpVerdict {
  const over = (one: WeighedSetUp) => one.told.overMost ?? 0
  const spoiled = ({ told: { figures } }: WeighedSetUp) => figures.under80 + figures.over120
  const percent = (share: number) => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`
  const differs = (figure: (one: WeighedSetUp) => number) => Math.abs(figure(a) - figure(b)) >= ALIKE
  const minutes = (one: WeighedSetUp, other: WeighedSetUp) => {
    const more = one.seconds - other.seconds
    return Math.abs(more) < MINUTE
      ? 'in about the same time'
      : `in ${formatMinutes(Math.abs(more))} min ${more > 0 ? 'more' : 'less'}`
  }
  const told = (better: 'a' | 'b', why: (one: WeighedSetUp, other: WeighedSetUp) => string): SetUpVerdict => {
    const [one, other] = better === 'a' ? [a, b] : [b, a]
    return { better, sentence: `Better ${one.words}: ${why(one, other)}, ${minutes(one, other)}.` }
  }
  if (differs(over))
    return told(
      over(a) < over(b) ? 'a' : 'b',
      (one, other) =>
        `${percent(over(one))} of the lawn over the label’s most against ${percent(over(other))}`,
    )
  if (differs(spoiled))
    return told(
      spoiled(a) < spoiled(b) ? 'a' : 'b',
      (one, other) =>
        `${percent(spoiled(one))} of the lawn off by more than a fifth against ` +
        `${percent(spoiled(other))}, CV ${percent(one.told.figures.cv)} against ` +
        `${percent(other.told.figures.cv)}`,
    )
  if (Math.abs(a.seconds - b.seconds) >= MINUTE)
    return told(a.seconds < b.seconds ? 'a' : 'b', () => 'the lawn gets the same')
  return { better: 'same', sentence: 'The lawn gets the same by both, in about the same time.' }
}
const MINUTE = 60
