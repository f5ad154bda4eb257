import { plural, sumOf } from '../quantity/counting'
import type { Quantity } from '../quantity/quantity'
import type { AmountUnit } from '../quantity/units'
import { figureText, sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'

/** What should be left in the hopper at one place of the way; the reserve comes back after the last. */
export interface Checkpoint {
  readonly pass: number
  /** Halfway over the only lawn, after one of several, or when the pass is done. */
  readonly at: 'half' | 'lawn' | 'end'
  /** Which lawn; blank for `half` and `end`. */
  readonly lawn: string
  readonly left: Quantity<AmountUnit>
}

/** More lawns than these are not weighed back one by one. */
const MOST_LAWNS = 4

/**
 * Checkpoints of a dry charge: within each pass, walked lawn after lawn, and after it. All in the unit of the
 * charge.
 * @param amount of the charge that goes on the lawn
 * @param lawns in the order they are walked, sizes in one unit
 * Source: trade.md 6; one strength everywhere, so what is gone is in proportion to the ground covered.
 * @example charge 16.3 lb of which 13.3 lb for two passes over one lawn: 12.975 lb halfway, 9.65 lb after
 *   the first pass
 */
export function checkpoints(
  charge: Quantity<AmountUnit>,
  amount: Quantity<AmountUnit>,
  passes: number,
  lawns: readonly { readonly name: string; readonly size: number }[],
  book: WorkingBook = closedWorkingBook,
): readonly Checkpoint[] {
  const ground = sumOf(lawns, ({ size }) => size)
  const within =
    lawns.length === 1
      ? [{ at: 'half' as const, lawn: '', share: 0.5 }]
      : lawns.length > MOST_LAWNS
        ? []
        : afterEach(lawns, ground)
  const points = Array.from({ length: passes }, (_, i) => i + 1).flatMap((pass) =>
    [...within, { at: 'end' as const, lawn: '', share: 1 }].map(({ at, lawn, share }): Checkpoint => ({
      pass,
      at,
      lawn,
      left: { value: charge.value - (amount.value * (pass - 1 + share)) / passes, unit: charge.unit },
    })),
  )
  book.note('checkpoints', () => [
    `weighed in ${figureText(charge)}, of which ${figureText(amount)} goes down in ${passes} ` +
      plural(passes, 'pass', 'passes'),
    ...lawns.map(({ name, size }) => `${name}: ${sixDigits((100 * size) / ground)} % of the ground`),
    ...points.map(
      ({ pass, at, lawn, left }) =>
        `pass ${pass}, ${at === 'end' ? 'done' : at === 'half' ? 'halfway' : `after ${lawn}`}: left ` +
        figureText(left),
    ),
  ])
  return points
}

function afterEach(lawns: readonly { readonly name: string; readonly size: number }[], ground: number) {
  let covered = 0
  return lawns.slice(0, -1).map(({ name, size }) => {
    covered += size
    return { at: 'lawn' as const, lawn: name, share: covered / ground }
  })
}
