import { typedFigure } from '../quantity/entered'
import type { Entered } from '../quantity/entered'
import { PASCALS_PER, type PressureUnit } from '../quantity/units'

/** Published drop-size classes, the finest first. */
export const DROP_SIZES = [
  'very fine',
  'fine',
  'medium',
  'coarse',
  'very coarse',
  'extremely coarse',
  'ultra coarse',
] as const
export type DropSize = (typeof DROP_SIZES)[number]

/** One line of a nozzle's own sheet: the class it is given at a pressure. */
export interface DropRow {
  readonly id: string
  readonly pressure: Entered<PressureUnit>
  readonly size: DropSize
}

/** Whether one class is finer than another. */
export const isFiner = (one: DropSize, other: DropSize): boolean =>
  DROP_SIZES.indexOf(one) < DROP_SIZES.indexOf(other)

/** A pressure is read so nearly: beyond the highest of the sheet by less it is the highest. */
const READ_SO_NEARLY = 0.02

/**
 * The class of the drops at a pressure, by the nozzle's own sheet. More pressure makes finer drops: between
 * two lines the finer holds, and below the lowest line they are at least as coarse as there.
 * @returns undefined beyond the highest pressure of the sheet, and where no line can be read
 * Source: trade.md 4 (each nozzle and pressure has a published drop-size class).
 */
export function dropsAt(
  rows: readonly DropRow[],
  pressure: Entered<PressureUnit> | undefined,
): DropSize | undefined {
  const read = (entered: Entered<PressureUnit> | undefined) => {
    const figure = typedFigure(entered, 'pressure')
    return figure && figure.value * PASCALS_PER[figure.unit]
  }
  const asked = read(pressure)
  if (asked === undefined) return undefined
  const known = rows
    .flatMap(({ pressure: at, size }) => {
      const own = read(at)
      return own === undefined ? [] : [{ at: own, size }]
    })
    .toSorted((a, b) => a.at - b.at)
  return known.find(({ at }) => asked <= at * (1 + READ_SO_NEARLY))?.size
}

/** The highest pressure of the sheet at which drops are no finer than a class; undefined where none is. */
export function pressureFor(rows: readonly DropRow[], size: DropSize): DropRow | undefined {
  const read = ({ pressure }: DropRow) => {
    const figure = typedFigure(pressure, 'pressure')
    return figure ? figure.value * PASCALS_PER[figure.unit] : 0
  }
  return rows
    .filter((row) => !isFiner(row.size, size) && read(row) > 0)
    .toSorted((a, b) => read(b) - read(a))[0]
}
