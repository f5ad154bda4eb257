import { plural } from '../quantity/counting'
import { dayText } from '../calendar/dayText'
import { asEntered } from '../working/figureText'
import { formatFigure } from '../quantity/format'
import { rateUnitParts } from '../quantity/rateUnit'
import { isOver } from '../quantity/tolerance'
import { applicationsIn, type IndexedRow } from '../season/ledger'
import {
  datesOf,
  densityOf,
  fullestOf,
  leaveOut,
  limitYears,
  namesOf,
  plannedMark,
  plannedWords,
  type LimitYear,
  type VisitedArea,
  type RuleVisit,
  type VisitedProduct,
} from './visit'
import type { Remedy, Check } from './check'
import type { Rule } from './rule'
import { yearMeasures, type YearMeasure } from './yearMeasure'

/** A limit of the year with the line that prints it. */
interface Limited {
  readonly line: VisitedProduct
  readonly measure: YearMeasure
}

/**
 * Yearly limits of the labels: of the product, of a nutrient from every source, of an active under every
 * name, and of the number of applications.
 * Source: trade.md 5 and 6.
 */
function yearFindings(context: RuleVisit): readonly Check[] {
  const limits = context.lines.flatMap((line) => limitsOf(line, context))
  return [
    ...tightest(limits).flatMap((limited) => measureFindings(limited, context)),
    ...context.lines.flatMap((line) => countYear(line, context)),
  ]
}

/** The limits of one line; a product that is over says enough of its own actives. */
function limitsOf(line: VisitedProduct, context: RuleVisit): readonly Limited[] {
  const measures = yearMeasures(line, context)
  const own = measures.filter(({ of }) => of !== 'active')
  const over = own.some((measure) => worstOf({ line, measure }, context) !== undefined)
  return (over ? own : measures).map((measure) => ({ line, measure }))
}

/** Of the limits of one nutrient or active by several labels the smallest. */
function tightest(limits: readonly Limited[]): readonly Limited[] {
  return limits.filter(
    ({ measure }, place) =>
      measure.of === 'product' ||
      !limits.some(
        (other, at) =>
          other.measure.of === measure.of &&
          other.measure.name.toLowerCase() === measure.name.toLowerCase() &&
          (other.measure.most < measure.most || (other.measure.most === measure.most && at < place)),
      ),
  )
}

interface CountedLawn extends VisitedArea {
  readonly rows: readonly IndexedRow[]
  readonly laid: number
  readonly now: number
  readonly unknown: readonly string[]
}

/** What lies on each lawn of a measure in a year, and what comes. */
function lawnsOf({ measure }: Limited, year: LimitYear, { lawns }: RuleVisit): readonly CountedLawn[] {
  return lawns.map((lawn) => {
    const rows = fullestOf(year, measure.rowsOn(lawn), (window) => measure.laid(window).known)
    const laid = measure.laid(rows)
    const now = measure.now(lawn)
    return {
      ...lawn,
      rows,
      laid: laid.known,
      now: now.known,
      unknown: [...new Set([...now.unknown, ...laid.unknown])],
    }
  })
}

/** Lawns on which a limit is passed, the worst first, in the first year in which it is. */
function worstOf(
  limited: Limited,
  context: RuleVisit,
): { readonly year: LimitYear; readonly lawns: readonly CountedLawn[] } | undefined {
  for (const year of limitYears(limited.line, context)) {
    const lawns = lawnsOf(limited, year, context)
      .filter(({ laid, now }) => isOver(laid + now, limited.measure.most))
      .toSorted((a, b) => b.laid + b.now - a.laid - a.now)
    if (lawns.length > 0) return { year, lawns }
  }
  return undefined
}

function measureFindings(limited: Limited, context: RuleVisit): readonly Check[] {
  const found = worstOf(limited, context)
  return found ? [overYear(limited, found.year, found.lawns)] : notCounted(limited, context)
}

const CODES = {
  product: 'above-max-per-year',
  nutrient: 'above-max-per-year',
  active: 'active-above-max-per-year',
} as const

function overYear({ line, measure }: Limited, year: LimitYear, lawns: readonly CountedLawn[]): Check {
  const worst = lawns[0]!
  const told = (perArea: number) =>
    measure.of === 'active'
      ? `${formatFigure((100 * perArea) / measure.most)} %`
      : rounded(measure.told(perArea))
  const left = measure.most - worst.laid
  return {
    level: year.level,
    code: CODES[measure.of],
    productId: line.note.id,
    source: measure.of === 'active' ? 'label, most in a year, as active' : 'label, most in a year',
    message: overWords(line, measure, year, lawns, told),
    remedies: [
      ...(measure.of === 'product' && left > 0 && line.note.basis === 'product' && datesOf(line) === 1
        ? lessOf(line, left)
        : []),
      ...leaveOut(lawns),
    ],
    working: () => [
      measure.of === 'active'
        ? `${worst.area.name}, ${measure.name} in ${year.span}, each as a share of the year's most:`
        : `${worst.area.name}, ${year.span}:`,
      ...worst.rows.map(
        (row) =>
          `${dayText(row.on)}${measure.of === 'product' ? '' : `, ${row.product}`}${plannedMark(row)}: ` +
          rowWords(measure, row, told),
      ),
      `laid ${year.words} ${told(worst.laid)}`,
      `this job ${told(worst.now)}${datesOf(line) > 1 ? ', both its dates' : ''}`,
      `the label allows ${told(measure.most)}`,
      `together = ${told(worst.laid + worst.now)}`,
    ],
  }
}

const rounded = ({ value, unit }: ReturnType<YearMeasure['told']>) => `${formatFigure(value)} ${unit}`

function rowWords(measure: YearMeasure, row: IndexedRow, told: (perArea: number) => string): string {
  const { known, unknown } = measure.laid([row])
  return unknown.length > 0 ? 'not known, its label does not tell' : told(known)
}

function overWords(
  line: VisitedProduct,
  measure: YearMeasure,
  { words }: LimitYear,
  lawns: readonly CountedLawn[],
  told: (perArea: number) => string,
): string {
  const worst = lawns[0]!
  if (measure.of === 'active')
    return (
      `${measure.name} under all names: ${told(worst.laid)} of a year's most lies on ${namesOf(lawns)} ` +
      `${words}; with this it would be ${told(worst.laid + worst.now)}.`
    )
  const what = measure.of === 'nutrient' ? ` of ${measure.name} from all sources` : ''
  return (
    `${line.product.name}: ${told(worst.laid)}${what} lies on ${namesOf(lawns)} ` +
    `${words}${plannedWords(worst.rows)}; with ${told(worst.now)} ` +
    `${datesOf(line) > 1 ? 'over both dates' : 'now'} that is over the label's ${told(measure.most)}.`
  )
}

/** What can't be counted is said, never taken as nothing. */
function notCounted(limited: Limited, context: RuleVisit): readonly Check[] {
  const { line, measure } = limited
  const [year] = limitYears(line, context)
  const found = year ? lawnsOf(limited, year, context).filter(({ unknown }) => unknown.length > 0) : []
  const [first] = found
  if (!first) return []
  return [
    {
      level: 'warn',
      code: 'year-not-counted',
      productId: line.note.id,
      source: 'labels that do not tell',
      message:
        `How much ${measure.name} ${first.unknown.join(' and ')} brought to ${namesOf(found)} is not ` +
        `known: the label's most of ${asEntered(measure.told(measure.most))} in a year can’t be checked.`,
      remedies: densityOf(context, first.unknown),
    },
  ]
}

/** What the label still leaves, in the rate's own unit, rounded down so that it is not passed. */
function lessOf({ index, note, dose }: VisitedProduct, left: number): readonly Remedy[] {
  const parts = rateUnitParts(note.rate.unit)
  if (parts.per !== 'area' || parts.dimension !== dose.dimension) return []
  const text = String(Math.floor((left / parts.factor) * 1000 + 1e-6) / 1000)
  return Number(text) > 0
    ? [
        {
          label: `Take ${text} ${note.rate.unit}, what the year leaves`,
          path: `products.${index}.rate`,
          value: { text, unit: note.rate.unit },
        },
      ]
    : []
}

function countYear(line: VisitedProduct, context: RuleVisit): readonly Check[] {
  const most = line.says.perYear
  if (most === undefined) return []
  for (const year of limitYears(line, context)) {
    const found = context.lawns
      .map((lawn) => {
        const rows = fullestOf(year, lawn.ledger.byProduct.get(line.product.id) ?? [], applicationsIn)
        return { ...lawn, rows, times: applicationsIn(rows) }
      })
      .filter(({ times }) => times + datesOf(line) > most)
      .toSorted((a, b) => b.times - a.times)
    const [first] = found
    if (!first) continue
    return [
      {
        level: year.level,
        code: 'too-many-per-year',
        productId: line.note.id,
        source: 'label, applications in a year',
        remedies: leaveOut(found),
        message:
          `${line.product.name} went down on ${namesOf(found)} ${first.times} ` +
          `${plural(first.times, 'time')} ${year.words}${plannedWords(first.rows)}; ` +
          `the label allows ${most}.`,
        working: () =>
          [...new Set(first.rows.map(({ on }) => dayText(on)))]
            .map((on, i) => `${i + 1}: ${on}, on ${first.area.name}`)
            .concat(`with this job = ${first.times + datesOf(line)}, the label allows ${most}`),
      },
    ]
  }
  return []
}

export const YEAR_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['above-max-per-year', 'active-above-max-per-year', 'too-many-per-year', 'year-not-counted'],
    level: 'stop; where the label does not say which year, or how much there was, warn',
    looksAt:
      'product, nutrient, active and number of applications on each area in the year, planned work counted',
    limit: 'the label’s most in a year',
    source: 'label',
    find: yearFindings,
  },
]
