import { wholeSteps } from '../quantity/tolerance'
import { daysAfter } from '../calendar/daysBetween'
import type { Quantity } from '../quantity/quantity'
import type { RateUnit } from '../quantity/units'
import { applicationsIn } from '../season/ledger'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { datesOf, limitYears, type VisitedArea, type RuleVisit, type VisitedProduct } from './visit'
import { yearMeasures, type YearMeasure } from './yearMeasure'

/** What a label still leaves of one product on one lawn this year, with this job taken off. */
export interface YearLeft {
  readonly productId: string
  readonly product: string
  readonly lawn: VisitedArea
  /** In the unit in which the label prints its most; undefined where it prints none. */
  readonly amount:
    | {
        readonly laid: Quantity<RateUnit>
        /** Of it what is planned and not applied yet. */
        readonly planned: Quantity<RateUnit>
        readonly now: Quantity<RateUnit>
        readonly left: Quantity<RateUnit>
        readonly most: Quantity<RateUnit>
      }
    | undefined
  /** What stands outside the amount, because its label does not tell. */
  readonly unknown: readonly string[]
  /** Further applications at this job's rate; the smaller of what the amount and the count allow. */
  readonly further: number | undefined
  /** The first day on which the next may follow this job, YYYY-MM-DD. */
  readonly next: string | undefined
}

/**
 * What the year still leaves after this job, by product and lawn, where the label limits the year at all; of
 * several limits the one that leaves the least.
 * Source: trade.md 5, most per year and most applications per year.
 */
export function yearLeft(context: RuleVisit, book: WorkingBook = closedWorkingBook): readonly YearLeft[] {
  return context.lines.flatMap((line) => {
    const measures = yearMeasures(line, context)
    const times = line.says.perYear
    if (measures.length === 0 && times === undefined) return []
    const wait = line.says.repeatFrom
    return context.lawns.map((lawn) => leftOn(lawn, line, context, { measures, times, wait }, book))
  })
}

interface Limits {
  readonly measures: readonly YearMeasure[]
  readonly times: number | undefined
  readonly wait: number | undefined
}

/** One limit on one lawn: what lies, what comes, what is left, SI on each m2. */
interface LimitLeft {
  readonly measure: YearMeasure
  readonly laid: number
  readonly planned: number
  readonly now: number
  readonly left: number
  readonly unknown: readonly string[]
}

function leftOf(
  measure: YearMeasure,
  lawn: VisitedArea,
  line: VisitedProduct,
  context: RuleVisit,
): LimitLeft {
  const windows = limitYears(line, context).flatMap(({ windowsOf }) => windowsOf(measure.rowsOn(lawn)))
  const years = windows.map(measure.laid)
  const laid = Math.max(...years.map(({ known }) => known))
  const fullest = windows[years.findIndex(({ known }) => known === laid)] ?? []
  const now = measure.now(lawn)
  return {
    measure,
    laid,
    planned: measure.laid(fullest.filter((row) => row.planned)).known,
    now: now.known,
    left: Math.max(0, measure.most - laid - now.known),
    unknown: [...new Set([...now.unknown, ...years.flatMap(({ unknown }) => unknown)])],
  }
}

function leftOn(
  lawn: VisitedArea,
  line: VisitedProduct,
  context: RuleVisit,
  { measures, times, wait }: Limits,
  book: WorkingBook,
): YearLeft {
  const dates = datesOf(line)
  const done = Math.max(
    ...limitYears(line, context).flatMap(({ windowsOf }) =>
      windowsOf(lawn.ledger.byProduct.get(line.product.id) ?? []).map(applicationsIn),
    ),
  )
  const [least] = measures
    .map((measure) => leftOf(measure, lawn, line, context))
    .toSorted((a, b) => a.left / a.measure.most - b.left / b.measure.most)
  const unknown = least?.unknown ?? []
  const byCount = times === undefined ? undefined : Math.max(0, times - done - dates)
  const byAmount =
    least && least.now > 0 && unknown.length === 0 ? wholeSteps((least.left * dates) / least.now) : undefined
  const further =
    byCount === undefined ? byAmount : byAmount === undefined ? byCount : Math.min(byCount, byAmount)
  book.note(`left.${line.note.id}.${lawn.area.id}`, () => [
    ...(least ? leftLines(least) : []),
    ...(times === undefined ? [] : [`${times} applications a year, ${done} so far, ${dates} with this job`]),
    further === undefined
      ? 'further applications at this rate: not known'
      : `further applications at this rate = ${further}`,
  ])
  return {
    productId: line.note.id,
    product: line.product.name,
    lawn,
    further,
    unknown,
    amount: least && {
      laid: least.measure.told(least.laid),
      planned: least.measure.told(least.planned),
      now: least.measure.told(least.now),
      left: least.measure.told(least.left),
      most: least.measure.told(least.measure.most),
    },
    next: wait === undefined ? undefined : daysAfter(context.day, Math.ceil(wait)),
  }
}

function leftLines({ measure, laid, planned, now, left, unknown }: LimitLeft): readonly string[] {
  const told = (perArea: number) => sixDigits(measure.told(perArea).value)
  const { unit } = measure.told(left)
  return [
    `most in a year${measure.of === 'product' ? '' : ` of ${measure.name}`} ${told(measure.most)} ${unit}`,
    ...unknown.map((name) => `${name}: not known, its label does not tell`),
    `applied this year ${told(laid - planned)}${planned > 0 ? `, planned ${told(planned)}` : ''}, ` +
      `with this job ${told(laid + now)}`,
    `left = ${told(left)} ${unit}`,
  ]
}
