import type { Figure } from '../working/figures'
import { amountFactor } from '../quantity/quantity'
import { repeats, type Repeats } from '../quantity/repeats'
import { SQUARE_METRES_PER, type AmountUnit } from '../quantity/units'
import { sixDigits } from '../working/figureText'
import type { WorkingBook } from '../working/working'

/** One catch: SI amount a second, and the ground covered in that second, m2 (speed x width). */
export interface CaughtFlow {
  readonly flow: number
  readonly covered: number
  /** As it was measured, for the working. */
  readonly words: string
}

/**
 * Calibration by flow: what runs out in a second over the ground covered in a second, mean of the catches.
 * @returns kg or m3 on each m2 in one pass
 * Source: trade.md 3, rate = q / (speed x swath); 4, nozzle catch, one nozzle, hose-end.
 */
export function rateOfFlows(
  catches: readonly CaughtFlow[],
  unit: AmountUnit,
  figure: Figure,
  book: WorkingBook,
): Repeats {
  const result = repeats(catches.map(({ flow, covered }) => flow / covered))
  book.note(figure, () => {
    const told = (perArea: number) =>
      `${sixDigits((perArea / amountFactor(unit)) * SQUARE_METRES_PER['1000 ft2'])} ${unit}/1000 ft2`
    return [
      ...catches.map(
        ({ flow, covered, words }, i) =>
          `catch ${i + 1}: ${words}; ${sixDigits(flow / amountFactor(unit))} ${unit}/s over ` +
          `${sixDigits(covered)} m2/s = ${told(flow / covered)}`,
      ),
      result.sd === undefined
        ? 'one catch shows no spread'
        : `spread of ${result.count} catches: ${sixDigits((100 * result.sd) / result.mean)} % of the mean`,
      `mean ${told(result.mean)}`,
    ]
  })
  return result
}
