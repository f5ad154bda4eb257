import { fieldReader, type FieldReader } from '../../quantity/fieldReader'
import type { Entered } from '../../quantity/entered'
import type { KindUnits } from '../../quantity/parseQuantity'
import { timeSi, type Quantity } from '../../quantity/quantity'
import { rateUnitParts } from '../../quantity/rateUnit'
import { isOver } from '../../quantity/tolerance'
import { SECONDS_PER, type RateUnit, type TimeUnit } from '../../quantity/units'
import { remembered } from '../../remembered'
import { countIn, LINE_FIGURE_NAMES, LINE_FIGURES, type LineFigure } from '../productDocument'
import type { RateLine } from '../productShape'

/** What a line of a label says in figures; undefined is what is blank or not to be read. */
export interface LineSays {
  readonly year: Quantity<RateUnit> | undefined
  readonly yearActive: Quantity<RateUnit> | undefined
  /** d */
  readonly repeatFrom: number | undefined
  readonly perYear: number | undefined
  readonly inRow: number | undefined
  readonly figures: {
    readonly [F in LineFigure]?: Quantity<KindUnits[(typeof LINE_FIGURES)[F]['kind']]>
  }
}

/** A line is read once, whatever asks what it says. Source: trade.md 5. */
export const lineSays = remembered((line: RateLine): LineSays => readLine(line, '', fieldReader()))

/**
 * Reads every figure of a line; what is wrong lands in the reader's problems, at its field.
 * @param path of the line in its document @returns each figure in the unit it was printed in
 * Source: trade.md 5.
 */
export function readLine(line: RateLine, path: string, fields: FieldReader): LineSays {
  fields.optional(`${path}.rate`, line.rate, 'rate', 'Usual rate', 'above-zero')
  const low = fields.optional(`${path}.low`, line.low, 'rate', 'Lowest rate', 'above-zero')
  const high = fields.optional(`${path}.high`, line.high, 'rate', 'Highest rate', 'above-zero')
  fields.optional(`${path}.most`, line.most, 'rate', 'Most per application', 'above-zero')
  const year = fields.optional(`${path}.year`, line.year, 'rate', 'Most in a year', 'above-zero')
  if (line.heatUnits?.trim() && !(Number(line.heatUnits) > 0))
    fields.wrong(`${path}.heatUnits`, 'Heat units are a figure above zero, such as 200.')
  const from = fields.optional(`${path}.repeatFrom`, line.repeatFrom, 'time', 'Repeat from', 'above-zero')
  fields.optional(`${path}.repeatTo`, line.repeatTo, 'time', 'Repeat to', 'above-zero')
  if (low && high) inOrder(line, low, high, path, fields)
  return {
    year,
    yearActive: readYearActive(line, path, fields),
    repeatFrom: from && daysOf(from),
    perYear: readCount(line, 'perYear', 'Applications in a year', path, fields),
    inRow: readCount(line, 'inRow', 'Applications in a row', path, fields),
    figures: readFigures(line, path, fields),
  }
}

/** A time in days. */
export const daysOf = (time: Quantity<TimeUnit>): number => timeSi(time) / SECONDS_PER.d

function readYearActive({ yearActive }: RateLine, path: string, fields: FieldReader) {
  const place = `${path}.yearActive`
  const read =
    yearActive && fields.optional(place, yearActive, 'rate', 'Most of the active in a year', 'above-zero')
  if (!read) return undefined
  const { dimension, per } = rateUnitParts(read.unit)
  if (dimension === 'mass' && per === 'area') return read
  fields.wrong(place, 'The most of an active is a weight on the ground, such as 1.5 lb/ac.')
  return undefined
}

function readCount(
  line: RateLine,
  name: 'perYear' | 'inRow',
  what: string,
  path: string,
  fields: FieldReader,
): number | undefined {
  const count = countIn(line[name])
  if (line[name]?.trim() && count === undefined)
    fields.wrong(`${path}.${name}`, `${what} are a whole number: 4.`)
  return count
}

function readFigures({ figures = {} }: RateLine, path: string, fields: FieldReader): LineSays['figures'] {
  const read = LINE_FIGURE_NAMES.map((name) => {
    const { kind, what } = LINE_FIGURES[name]
    const entered = figures[name] as Entered<KindUnits[typeof kind]> | undefined
    const sign = kind === 'temperature' ? 'any-sign' : 'above-zero'
    return [name, entered && fields.optional(`${path}.figures.${name}`, entered, kind, what, sign)] as const
  })
  return Object.fromEntries(read) as LineSays['figures']
}

function inOrder(
  line: RateLine,
  low: Quantity<RateUnit>,
  high: Quantity<RateUnit>,
  path: string,
  fields: FieldReader,
): void {
  const [from, to] = [rateUnitParts(low.unit), rateUnitParts(high.unit)]
  if (
    from.dimension === to.dimension &&
    from.per === to.per &&
    isOver(low.value * from.factor, high.value * to.factor)
  ) {
    fields.wrong(
      `${path}.low`,
      `The lowest rate (${line.low.text} ${low.unit}) is above the highest (${line.high.text} ` +
        `${high.unit}): check both.`,
    )
  }
}
