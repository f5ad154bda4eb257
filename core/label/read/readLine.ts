import { LINE_FIELDS, LINE_FIGURE_NAMES, LINE_FIGURES, type LineFigure } from '../productFields'
import { fieldReader, type FieldReader } from '../../quantity/fieldReader'
import type { KindUnits } from '../../quantity/parseQuantity'
import { timeSi, type Quantity } from '../../quantity/quantity'
import { rateUnitParts } from '../../quantity/rateUnit'
import { isOver } from '../../quantity/tolerance'
import { SECONDS_PER, type RateUnit, type TimeUnit } from '../../quantity/units'
import { remembered } from '../../remembered'
import { countIn } from '../productDocument'
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
  const at = fields.of(LINE_FIELDS, path)
  const usual = at.optional('rate', line.rate)
  const low = at.optional('low', line.low)
  const high = at.optional('high', line.high)
  at.optional('most', line.most)
  const year = at.optional('year', line.year)
  if (line.heatUnits?.trim() && !(Number(line.heatUnits) > 0))
    fields.wrong(`${path}.heatUnits`, 'Heat units are a figure above zero, such as 200.')
  const from = at.optional('repeatFrom', line.repeatFrom)
  at.optional('repeatTo', line.repeatTo)
  if (low && high) inOrder(line, low, high, path, fields)
  if (usual) likeTheRange(line, usual, low ?? high, path, fields)
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
  const read = fields.of(LINE_FIELDS, path).optional('yearActive', yearActive)
  if (!read) return undefined
  const { dimension, per } = rateUnitParts(read.unit)
  if (dimension === 'mass' && per === 'area') return read
  fields.wrong(`${path}.yearActive`, 'The most of an active is a weight on the ground, such as 1.5 lb/ac.')
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
  const at = fields.of(LINE_FIGURES, `${path}.figures`)
  return Object.fromEntries(
    LINE_FIGURE_NAMES.map((name) => [name, at.optional(name, figures[name])]),
  ) as LineSays['figures']
}

/** The usual rate lies in the label's range: a weight beside fluid ounces is another product's, or a slip. */
function likeTheRange(
  line: RateLine,
  usual: Quantity<RateUnit>,
  range: Quantity<RateUnit> | undefined,
  path: string,
  fields: FieldReader,
): void {
  if (!range || rateUnitParts(usual.unit).dimension === rateUnitParts(range.unit).dimension) return
  const other = line.low.text.trim() === '' ? line.high : line.low
  fields.wrong(
    `${path}.rate`,
    `The usual rate (${line.rate.text} ${line.rate.unit}) and the label’s range (${other.text} ` +
      `${other.unit}) are not of one kind: write both as a weight or both as a volume.`,
  )
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
