import { nutrientText } from '../quantity/nutrientText'
import type { UnitSystem } from '../quantity/systems'
import { sumOf } from '../quantity/counting'
import type { Figure } from '../working/figures'
import { isOver } from '../quantity/tolerance'
import { dayText } from '../calendar/dayText'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'

/** One application of nitrogen to an area; n in kg, null where the label did not tell. */
export interface NitrogenRow {
  readonly on: string
  readonly n: number | null
}

/** What an area has had this year, and whether some of it is not known. */
export interface NitrogenLaid {
  /** Kg of nitrogen on each m2. */
  readonly perArea: number
  readonly unknown: number
}

/** More than the grass wants in a year, both kg of nitrogen on each m2. */
export const overWanted = (laid: number, [, most]: readonly [number, number]): boolean => isOver(laid, most)

/**
 * Nitrogen laid down on an area in one calendar year.
 * @param sizeM2 the area's size today; @param year YYYY
 * @param system the units in which its working is told
 * Source: trade.md 5.
 * @example 1.2 kg on 167.2 m2: 0.00718 kg on each m2, 1.47 lb on 1,000 ft2
 */
export function nitrogenLaid(
  rows: readonly NitrogenRow[],
  sizeM2: number,
  year: string,
  figure: Figure = '',
  book: WorkingBook = closedWorkingBook,
  system?: UnitSystem,
): NitrogenLaid {
  const own = rows.filter(({ on }) => on.startsWith(year))
  const kilograms = sumOf(own, ({ n }) => n ?? 0)
  const perArea = kilograms / sizeM2
  book.note(figure, () => [
    ...own.map(
      ({ on, n }) =>
        `${dayText(on)}: ` +
        (n === null ? 'not known, the label gives no density' : `${sixDigits(n)} kg of N`),
    ),
    `together ${sixDigits(kilograms)} kg on ${sixDigits(sizeM2)} m2 = ${sixDigits(perArea)} kg on each`,
    `nitrogen in ${year} = ${nutrientText(perArea, '', system, sixDigits)}`,
  ])
  return { perArea, unknown: own.filter(({ n }) => n === null).length }
}
