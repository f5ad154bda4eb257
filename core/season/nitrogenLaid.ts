import { nutrientText } from '../quantity/nutrientText'
import type { UnitSystem } from '../quantity/systems'
import { sumOf } from '../quantity/counting'
import type { Figure } from '../working/figures'
import { isOver } from '../quantity/tolerance'
import { dayText } from '../calendar/dayText'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { KILOGRAMS_PER, SQUARE_METRES_PER } from '../quantity/units'

/** One application of nitrogen to an area; n in kg, null where the label did not tell. */
export interface NitrogenRow {
  readonly on: string
  readonly n: number | null
}

/** What an area has had this year, and whether some of it is not known. */
export interface NitrogenLaid {
  /** Lb N on 1,000 ft2: the trade's "units" of nitrogen. */
  readonly units: number
  readonly unknown: number
}

/** More than the grass wants in a year. @param units as laid; @param wanted from and to, lb N on 1,000 ft2 */
export const overWanted = (units: number, [, most]: readonly [number, number]): boolean => isOver(units, most)

/**
 * Nitrogen laid down on an area in one calendar year.
 * @param sizeM2 the area's size today; @param year YYYY
 * Source: trade.md 5 (1 unit of N is 1 lb N per 1,000 ft2).
 * @example 1.2 kg on 167.2 m2: 1.2 / 0.45359237 / (167.2 / 92.90304) = 1.47 units
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
  const thousands = sizeM2 / SQUARE_METRES_PER['1000 ft2']
  const units = kilograms / KILOGRAMS_PER.lb / thousands
  book.note(figure, () => [
    ...own.map(
      ({ on, n }) =>
        `${dayText(on)}: ` +
        (n === null
          ? 'not known, the label gives no density'
          : `${sixDigits(n)} kg of N = ${sixDigits(n / KILOGRAMS_PER.lb)} lb`),
    ),
    `together ${sixDigits(kilograms / KILOGRAMS_PER.lb)} lb on ${sixDigits(thousands)} x 1000 ft2`,
    `nitrogen in ${year} = ${nutrientText(units, '', system, sixDigits)}`,
  ])
  return { units, unknown: own.filter(({ n }) => n === null).length }
}
