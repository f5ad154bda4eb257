import { wholeSteps } from '../quantity/tolerance'
import { daysAfter } from '../calendar/daysBetween'
import { countIn } from '../label/productDocument'
import { fieldReader } from '../quantity/fieldReader'
import { rateUnitParts } from '../quantity/rateUnit'
import type { Quantity } from '../quantity/quantity'
import type { RateUnit } from '../quantity/units'
import { applicationsIn, laidPerArea } from '../season/ledger'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { daysIn } from './intervalRules'
import { datesOf, perAreaOn, thisYear, type VisitedArea, type RuleVisit, type VisitedProduct } from './visit'
import { yearLimit } from './yearRules'

/** What a label still leaves of one product on one lawn this year, with this job taken off. */
export interface YearLeft {
  readonly productId: string
  readonly product: string
  readonly lawn: VisitedArea
  /** In the unit in which the label prints its most; undefined where it prints none. */
  readonly amount:
    | {
        readonly laid: Quantity<RateUnit>
        readonly now: Quantity<RateUnit>
        readonly left: Quantity<RateUnit>
        readonly most: Quantity<RateUnit>
      }
    | undefined
  /** Further applications at this job's rate; the smaller of what the amount and the count allow. */
  readonly further: number | undefined
  /** The first day on which the next may follow this job, YYYY-MM-DD. */
  readonly next: string | undefined
}

/**
 * What the year still leaves after this job, by product and lawn, where the label limits the year at all.
 * Source: trade.md 5, most per year and most applications per year.
 */
export function yearLeft(context: RuleVisit, book: WorkingBook = closedWorkingBook): readonly YearLeft[] {
  return context.lines.flatMap((line) => {
    const limit = yearLimit(line, context)
    const times = countIn(line.line.perYear)
    if (!limit && times === undefined) return []
    const wait = daysIn(line.line.repeatFrom)
    return context.lawns.map((lawn) => leftOn(lawn, line, context, { limit, times, wait }, book))
  })
}

interface Limits {
  readonly limit: ReturnType<typeof yearLimit>
  readonly times: number | undefined
  readonly wait: number | undefined
}

function leftOn(
  lawn: VisitedArea,
  line: VisitedProduct,
  context: RuleVisit,
  { limit, times, wait }: Limits,
  book: WorkingBook,
): YearLeft {
  const rows = thisYear(lawn.ledger.byProduct.get(line.product.id), context)
  const dates = datesOf(line)
  const rate = perAreaOn(lawn, line)
  const laid = laidPerArea(rows)[line.dose.dimension]
  const now = rate * dates
  const left = limit && Math.max(0, limit.perArea - laid - now)
  const byCount = times === undefined ? undefined : Math.max(0, times - applicationsIn(rows) - dates)
  const byAmount = left === undefined ? undefined : wholeSteps(left / rate)
  const further =
    byCount === undefined ? byAmount : byAmount === undefined ? byCount : Math.min(byCount, byAmount)
  const told = (perArea: number): Quantity<RateUnit> => ({
    value: limit ? (perArea / limit.perArea) * printed(line) : Number.NaN,
    unit: limit?.unit ?? line.note.rate.unit,
  })
  book.note(`left.${line.note.id}.${lawn.area.id}`, () => [
    ...(limit && left !== undefined
      ? [
          `most in a year ${sixDigits(printed(line))} ${limit.unit}`,
          `laid this year ${sixDigits(told(laid).value)}, with this job ${sixDigits(told(laid + now).value)}`,
          `left = ${sixDigits(told(left).value)} ${limit.unit}`,
        ]
      : []),
    ...(times === undefined
      ? []
      : [`${times} applications a year, ${applicationsIn(rows)} so far, ${dates} with this job`]),
    `further applications at this rate = ${further ?? 0}`,
  ])
  return {
    productId: line.note.id,
    product: line.product.name,
    lawn,
    further,
    amount:
      limit && left !== undefined
        ? { laid: told(laid), now: told(now), left: told(left), most: told(limit.perArea) }
        : undefined,
    next: wait === undefined ? undefined : daysAfter(context.day, Math.ceil(wait)),
  }
}

const printed = ({ line }: VisitedProduct): number =>
  fieldReader().optional('', line.year, 'rate', 'Most in a year', 'above-zero')?.value ??
  rateUnitParts(line.rate.unit).factor
