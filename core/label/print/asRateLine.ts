import { figureText, sixDigits } from '../../working/figureText'
import type { Entered } from '../../quantity/entered'
import type { Quantity } from '../../quantity/quantity'
import { isMassUnit, SQUARE_METRES_PER, type AreaUnit, type RateUnit } from '../../quantity/units'
import { RATE_BASIS_NAMES } from '../label'
import type { LineFigures, RateLine } from '../productShape'
import { withBlanksIn } from '../lineUnit'
import type { PrintedLine } from './labelLine'

const typed = <U extends string>({ value, unit }: Quantity<U>): Entered<U> => ({
  text: sixDigits(value),
  unit,
})

/** Ground that a package is said to do, as a rate: 40 lb on 12,000 sq ft is 3.33 lb on 1,000. */
export function bagRate({ amount, area }: NonNullable<PrintedLine['bagCovers']>): Quantity<RateUnit> {
  const per: AreaUnit = /m2|ha/.test(area.unit) ? '100 m2' : '1000 ft2'
  const ground = area.value * SQUARE_METRES_PER[area.unit]
  return { value: (amount.value / ground) * SQUARE_METRES_PER[per], unit: `${amount.unit}/${per}` }
}

/**
 * What was read of a label, in the fields of a rate line; what was not read keeps what stands there. A limit
 * that counts something else than the line's rates has no field and is left for whoever types.
 */
export function asRateLine(printed: PrintedLine, line: RateLine): RateLine {
  const { rate = printed.bagCovers && bagRate(printed.bagCovers), low, high, basis } = printed
  const { mostPerApplication: most, mostPerYear: year, repeatFrom, repeatTo, reentry: _, from: __ } = printed
  const figures: LineFigures = {
    ...line.figures,
    ...(printed.carrierFrom && { carrierFrom: typed(printed.carrierFrom) }),
    ...(printed.carrierTo && { carrierTo: typed(printed.carrierTo) }),
    ...(printed.rainfast !== undefined && { rainfast: { text: sixDigits(printed.rainfast), unit: 'h' } }),
    ...(printed.waterDepth && { waterDepth: typed(printed.waterDepth) }),
    ...(printed.waterWithin !== undefined && {
      waterWithin: { text: sixDigits(printed.waterWithin), unit: 'h' },
    }),
  }
  const days = (count: number) => ({ text: sixDigits(count), unit: 'd' as const })
  const filled: RateLine = {
    ...line,
    basis,
    ...(printed.target && line.use.trim() === '' && { use: printed.target }),
    ...(rate && { rate: typed(rate) }),
    ...(low && { low: typed(low) }),
    ...(high && { high: typed(high) }),
    ...(most && most.basis === basis && { most: typed(most.rate) }),
    ...(year && year.basis === basis && { year: typed(year.rate) }),
    ...(year && isOfActive(printed) && { yearActive: typed(year.rate) }),
    ...(printed.period && { period: printed.period }),
    ...(printed.timesPerYear !== undefined && { perYear: String(printed.timesPerYear) }),
    ...(printed.inARow !== undefined && { inRow: String(printed.inARow) }),
    ...(repeatFrom !== undefined && { repeatFrom: days(repeatFrom) }),
    ...(repeatTo !== undefined && { repeatTo: days(repeatTo) }),
    ...(printed.grasses && { grasses: printed.grasses }),
    ...(Object.keys(figures).length > 0 && { figures }),
  }
  // What is still blank is asked in the unit the label prints, not in one of before.
  const unit = (rate ?? low ?? high)?.unit
  return unit ? withBlanksIn(filled, unit) : filled
}

/** A year's most in active, where the rates count product. */
const isOfActive = ({ basis, mostPerYear }: PrintedLine): boolean =>
  mostPerYear?.basis === 'active' &&
  basis !== 'active' &&
  isMassUnit(mostPerYear.rate.unit.split('/')[0] as Parameters<typeof isMassUnit>[0])

/** What was read, told back piece by piece. */
export function printedWords(line: PrintedLine): readonly string[] {
  const of = (basis: PrintedLine['basis']) => (basis === 'product' ? '' : ` of ${RATE_BASIS_NAMES[basis]}`)
  const { low, high, repeatFrom, repeatTo, carrierFrom, carrierTo, bagCovers } = line
  const told: readonly (string | undefined)[] = [
    line.target && `for ${line.target}`,
    line.grasses && `on ${line.grasses.join(', ')}`,
    line.rate && `rate ${figureText(line.rate)}${of(line.basis)}`,
    low && `from ${figureText(low)}${of(line.basis)}`,
    high && `to ${figureText(high)}${low ? '' : of(line.basis)}`,
    bagCovers && `${figureText(bagCovers.amount)} on ${figureText(bagCovers.area)}`,
    line.mostPerApplication &&
      `most in one go ${figureText(line.mostPerApplication.rate)}${of(line.mostPerApplication.basis)}`,
    line.mostPerYear && `most in a year ${figureText(line.mostPerYear.rate)}${of(line.mostPerYear.basis)}`,
    line.period && `a year is ${line.period === 'calendar year' ? 'a' : 'any'} ${line.period}`,
    line.timesPerYear === undefined ? undefined : `${line.timesPerYear} times a year`,
    line.inARow === undefined ? undefined : `${line.inARow} in a row`,
    repeatFrom === undefined
      ? undefined
      : `repeat from ${repeatFrom} d${repeatTo === undefined ? '' : ` to ${repeatTo} d`}`,
    carrierFrom &&
      `spray ${carrierTo ? `${sixDigits(carrierFrom.value)} to ` : ''}` +
        figureText(carrierTo ?? carrierFrom),
    line.reentry === undefined ? undefined : `nobody back before ${sixDigits(line.reentry)} h`,
    line.rainfast === undefined ? undefined : `rainfast after ${sixDigits(line.rainfast)} h`,
    line.waterDepth && `water in ${figureText(line.waterDepth)}`,
    line.waterWithin === undefined ? undefined : `within ${sixDigits(line.waterWithin)} h`,
  ]
  return told.filter((words) => words !== undefined)
}
