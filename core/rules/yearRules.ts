import { plural } from '../quantity/counting'
import { dayText } from '../calendar/dayText'
import { activePerProduct } from '../label/activeContent'
import { limitPerArea } from '../label/asProduct'
import { countIn } from '../label/productDocument'
import { carrierOf } from '../plan/carrierOf'
import { formatFigure } from '../quantity/format'
import { fieldReader } from '../quantity/fieldReader'
import { rateUnitParts } from '../quantity/rateUnit'
import { isOver } from '../quantity/tolerance'
import type { RateUnit } from '../quantity/units'
import { remembered } from '../remembered'
import { applicationsIn, laidPerArea, type IndexedRow } from '../season/ledger'
import type { LibraryProduct } from '../draft/fromLibrary'
import {
  datesOf,
  leaveOut,
  namesOf,
  perAreaOn,
  plannedMark,
  plannedWords,
  thisYear,
  type VisitedArea,
  type RuleVisit,
  type VisitedProduct,
} from './visit'
import type { Remedy, Check } from './check'
import type { Rule } from './rule'

/**
 * Yearly limits of the label: of the product, of its active across names, and of the number of applications.
 * Source: trade.md 5 and 6.
 */
function yearFindings(context: RuleVisit): readonly Check[] {
  return context.lines.flatMap((line) => {
    const product = productYear(line, context)
    return [...product, ...(product.length > 0 ? [] : activeYear(line, context)), ...countYear(line, context)]
  })
}

interface OverLawn extends VisitedArea {
  readonly laid: number
  readonly now: number
}

/** Lawns on which what lies and what comes pass a limit together, the worst first. */
function lawnsOver(
  lawns: readonly VisitedArea[],
  limit: number,
  sums: (lawn: VisitedArea) => Pick<OverLawn, 'laid' | 'now'>,
): readonly OverLawn[] {
  const found: OverLawn[] = []
  for (const lawn of lawns) {
    const { laid, now } = sums(lawn)
    if (isOver(laid + now, limit)) found.push({ ...lawn, laid, now })
  }
  return found.toSorted((a, b) => b.laid + b.now - a.laid - a.now)
}

const ofProduct = ({ ledger }: VisitedArea, { product }: VisitedProduct, context: RuleVisit) =>
  thisYear(ledger.byProduct.get(product.id), context)

/** The label's most in a year as product on the ground, SI in the dose's own dimension. */
export function yearLimit(
  { line, planned, dose }: VisitedProduct,
  { request }: RuleVisit,
): { readonly perArea: number; readonly unit: RateUnit } | undefined {
  const read = fieldReader().optional('', line.year, 'rate', 'Most in a year', 'above-zero')
  if (!read) return undefined
  const limit = limitPerArea(read, 'maxPerApplication', dose.dimension, {
    carrier: carrierOf(request.method),
    density: planned.density,
  })
  return limit.ok ? { perArea: limit.value, unit: read.unit } : undefined
}

function productYear(line: VisitedProduct, context: RuleVisit): readonly Check[] {
  const limit = yearLimit(line, context)
  if (!limit) return []
  const found = lawnsOver(context.lawns, limit.perArea, (lawn) => ({
    laid: laidPerArea(ofProduct(lawn, line, context))[line.dose.dimension],
    now: perAreaOn(lawn, line) * datesOf(line),
  }))
  const [worst] = found
  if (!worst) return []
  const told = (perArea: number) =>
    `${formatFigure((perArea / limit.perArea) * Number(yearFigure(line)))} ${limit.unit}`
  const left = limit.perArea - worst.laid
  return [
    {
      level: 'stop',
      code: 'above-max-per-year',
      productId: line.note.id,
      source: 'label, most in a year',
      message:
        `${line.product.name}: ${told(worst.laid)} lies on ${namesOf(found)} this ` +
        `year${plannedWords(ofProduct(worst, line, context))}; with ` +
        `${told(worst.now)} ${datesOf(line) > 1 ? 'over both dates' : 'now'} that is over the label's ` +
        `${told(limit.perArea)}.`,
      remedies: [
        ...(left > 0 && line.note.basis === 'product' && datesOf(line) === 1 ? lessOf(line, left) : []),
        ...leaveOut(found),
      ],
      working: () => [
        `${worst.area.name}, ${context.year} so far:`,
        ...ofProduct(worst, line, context).map(
          (row) => `${dayText(row.on)}${plannedMark(row)}: ${told(laidPerArea([row])[line.dose.dimension])}`,
        ),
        ...sumLines(worst, told, limit.perArea, datesOf(line)),
      ],
    },
  ]
}

/** What lies, what comes, and both against the limit. */
const sumLines = (
  { laid, now }: OverLawn,
  told: (value: number) => string,
  limit: number,
  dates: number,
): readonly string[] => [
  `laid this year ${told(laid)}`,
  `this job ${told(now)}${dates > 1 ? `, both its dates` : ''}`,
  `the label allows ${told(limit)}`,
  `together = ${told(laid + now)}`,
]

const yearFigure = ({ line }: VisitedProduct) =>
  fieldReader().optional('', line.year, 'rate', 'Most in a year', 'above-zero')?.value ?? Number.NaN

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

/**
 * Kg of the active on each m2 in a year: as the label prints it, else what the product's own most holds of
 * it.
 */
function activeLimit(line: VisitedProduct, per: number, context: RuleVisit): number | undefined {
  const printed =
    line.line.yearActive &&
    fieldReader().optional('', line.line.yearActive, 'rate', 'Most of the active', 'above-zero')
  if (printed) return printed.value * rateUnitParts(printed.unit).factor
  const limit = yearLimit(line, context)
  return limit && limit.perArea * per
}

/** The same active under other names counts against the same limit. */
function activeYear(line: VisitedProduct, context: RuleVisit): readonly Check[] {
  if (!line.line.yearActive?.text.trim() && line.line.year.text.trim() === '') return []
  const [active] = line.product.document.actives
  const content = active && fieldReader().optional('', active.content, 'content', 'Content', 'above-zero')
  const per = content && activePerProduct(content, line.dose.dimension, line.planned.density)
  if (!active || per === undefined) return []
  const name = active.name.trim().toLowerCase()
  const most = activeLimit(line, per, context)
  if (most === undefined) return []
  const laidOf = contentsOf(name, context)
  const found = lawnsOver(context.lawns, most, (lawn) => ({
    laid: laidOf(thisYear(lawn.ledger.byActive.get(name), context)),
    now: perAreaOn(lawn, line) * per * datesOf(line),
  }))
  const [worst] = found
  if (!worst) return []
  const share = (value: number) => `${formatFigure((100 * value) / most)} %`
  return [
    {
      level: 'stop',
      code: 'active-above-max-per-year',
      productId: line.note.id,
      source: 'label, most in a year, as active',
      message:
        `${active.name} under all names: ${share(worst.laid)} of a year's most lies on ` +
        `${namesOf(found)}; with this it would be ${share(worst.laid + worst.now)}.`,
      remedies: leaveOut(found),
      working: () => [
        `${worst.area.name}, ${active.name} in ${context.year} so far, each as a share of the year's most:`,
        ...thisYear(worst.ledger.byActive.get(name), context).map(
          (row) => `${dayText(row.on)}, ${row.product}${plannedMark(row)}: ${share(laidOf([row]))}`,
        ),
        ...sumLines(worst, share, most, datesOf(line)),
      ],
    },
  ]
}

/**
 * Kg of an active on each m2 of rows, by the contents on the shelf; those that can't be told are left out
 * here, and told by their own label.
 */
const contentsOf = (name: string, { library }: RuleVisit) => shelfContents(library.products)(name)

const shelfContents = remembered((products: readonly LibraryProduct[]) => {
  const known = new Map<string, (rows: readonly IndexedRow[]) => number>()
  return (name: string) => {
    const found = known.get(name) ?? laidAs(name, products)
    known.set(name, found)
    return found
  }
})

function laidAs(name: string, products: readonly LibraryProduct[]): (rows: readonly IndexedRow[]) => number {
  const contents = new Map(
    products.flatMap(({ id, document }) => {
      const active = document.actives.find((one) => one.name.trim().toLowerCase() === name)
      const fields = fieldReader()
      const content = active && fields.optional('', active.content, 'content', 'Content', 'above-zero')
      const density = active && fields.optional('', document.density, 'density', 'Density', 'above-zero')
      return content
        ? [
            [
              id,
              {
                mass: activePerProduct(content, 'mass', density),
                volume: activePerProduct(content, 'volume', density),
              },
            ] as const,
          ]
        : []
    }),
  )
  return remembered((rows) =>
    rows.reduce(
      (sum, { sourceId, dimension, amount, sizeM2 }) =>
        sizeM2 > 0 ? sum + (amount / sizeM2) * (contents.get(sourceId ?? '')?.[dimension] ?? 0) : sum,
      0,
    ),
  )
}

function countYear(line: VisitedProduct, context: RuleVisit): readonly Check[] {
  const most = countIn(line.line.perYear)
  if (most === undefined) return []
  const found = context.lawns.flatMap((lawn) => {
    const times = applicationsIn(ofProduct(lawn, line, context))
    return times + datesOf(line) > most ? [{ ...lawn, times }] : []
  })
  const [first] = found.toSorted((a, b) => b.times - a.times)
  return first
    ? [
        {
          level: 'stop',
          code: 'too-many-per-year',
          productId: line.note.id,
          source: 'label, applications in a year',
          remedies: leaveOut(found),
          message:
            `${line.product.name} went down on ${namesOf(found)} ${first.times} ` +
            `${plural(first.times, 'time')} this ` +
            `year${plannedWords(ofProduct(first, line, context))}; the label allows ${most}.`,
          working: () =>
            [...new Set(ofProduct(first, line, context).map(({ on }) => dayText(on)))]
              .map((on, i) => `${i + 1}: ${on}, on ${first.area.name}`)
              .concat(`with this job = ${first.times + datesOf(line)}, the label allows ${most}`),
        },
      ]
    : []
}

export const YEAR_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['above-max-per-year', 'active-above-max-per-year', 'too-many-per-year'],
    level: 'stop',
    looksAt: 'product, active and number of applications on each area in the year, planned work counted',
    limit: 'the label’s most in a year',
    source: 'label',
    find: yearFindings,
  },
]
