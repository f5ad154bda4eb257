import { typedFigure } from '../quantity/entered'
import { nutrientRangeText, nutrientText } from '../quantity/nutrientText'
import { dayText } from '../calendar/dayText'
import { nitrogenWanted } from '../ground/grasses'
import type { Nutrient } from '../label/label'
import { nutrientOn, slowNitrogenOn } from '../plan/areaNutrients'
import { KILOGRAMS_PER } from '../quantity/units'
import { remembered } from '../remembered'
import { nitrogenPerArea, nutrientPerArea, type IndexedRow } from '../season/ledger'
import { overWanted } from '../season/nitrogenLaid'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import type { LibraryProduct } from '../draft/fromLibrary'
import { plannedMark, thisYear, type VisitedArea, type RuleVisit } from './visit'

/** Nitrogen of one lawn in the year of the job, kg on each m2, and beside it phosphate and potash. */
export interface LawnNitrogen {
  readonly lawn: VisitedArea
  /** What was put down in the year, and what else is planned. */
  readonly year: readonly IndexedRow[]
  readonly laid: number
  /** Of it what is planned and not applied yet. */
  readonly planned: number
  readonly now: number
  /** What brings nitrogen in an amount that nobody can tell: it is in no sum. */
  readonly unknown: readonly string[]
  /**
   * Of both, what is slow release by the labels as they stand, and the rest; undefined where one of them is
   * not on the shelf.
   */
  readonly slow: { readonly laid: number | undefined; readonly now: number }
  readonly quick: { readonly laid: number | undefined; readonly now: number }
  /** What its grass wants in a year, from and to; undefined where no grass is written down. */
  readonly wanted: readonly [number, number] | undefined
  readonly state: 'within' | 'over' | undefined
  /** P2O5 and K2O, kg on each m2; only what was or is now laid. */
  readonly others: readonly {
    readonly nutrient: Extract<Nutrient, 'p2o5' | 'k2o'>
    readonly laid: number
    readonly planned: number
    readonly now: number
  }[]
}

const OTHERS = ['p2o5', 'k2o'] as const

/**
 * What lies on each lawn this year, what this application adds, and what the grass wants. Source: trade.md
 * 10.
 */
export function nitrogenOfYear(
  context: RuleVisit,
  book: WorkingBook = closedWorkingBook,
): readonly LawnNitrogen[] {
  const { units } = context.request
  const told = (figure: number, name = '') => nutrientText(figure, name, units, sixDigits)
  return context.lawns.map((lawn) => {
    const adds = (nutrient: Nutrient) => nutrientOn(lawn.lawn.id, nutrient, context.request, context.plan)
    const { known: now, unknown: unknownNow } = adds('n')
    const year = thisYear(lawn.ledger.rows, context)
    const laid = nitrogenPerArea(year)
    const planned = nitrogenPerArea(plannedOf(year))
    const unknown = [...unknownNow, ...unknownIn(year)]
    const slow = {
      laid: slowShares(context.library.products)(year),
      now: slowNitrogenOn(lawn.lawn.id, context.request, context.plan),
    }
    const quick = {
      laid: slow.laid === undefined ? undefined : laid - slow.laid,
      now: now - slow.now,
    }
    const wanted = nitrogenWanted(lawn.area.document.grass.map(({ species }) => species))
    book.note(`nitrogen.${lawn.area.id}`, () => [
      ...year
        .filter(({ n }) => n !== 0)
        .map(
          (row) =>
            `${dayText(row.on)}, ${row.product}${plannedMark(row)}: ` +
            (row.n === null
              ? 'not known, the label gives no density'
              : `${sixDigits(row.n / KILOGRAMS_PER.lb)} lb of N on ${sixDigits(row.sizeM2)} m2 = ` +
                told(row.n / row.sizeM2)),
        ),
      ...unknownNow.map((name) => `${name}: not known, the label gives no density`),
      `this application ${told(now, 'N')}, of it slow ${told(slow.now)} and quick ` + told(quick.now),
      ...(slow.laid === undefined || quick.laid === undefined
        ? ['slow and quick of the year: not known, a label is no longer on the shelf']
        : [
            `${planned > 0 ? 'applied and planned' : 'applied'} this year, by the labels: ` +
              `slow ${told(slow.laid)} and quick ${told(quick.laid)}`,
          ]),
      ...(wanted ? [`the grass wants ${nutrientRangeText(wanted, 'N', units)} a year`] : []),
      `this year with it ${told(laid + now, 'N')}`,
    ])
    const others = OTHERS.map((nutrient) => ({
      nutrient,
      laid: nutrientPerArea[nutrient](year),
      planned: nutrientPerArea[nutrient](plannedOf(year)),
      now: adds(nutrient).known,
    })).filter((one) => one.laid > 0 || one.now > 0)
    for (const one of others) {
      book.note(`${one.nutrient}.${lawn.area.id}`, () => [
        ...year
          .filter((row) => row[one.nutrient] !== 0)
          .map(
            (row) =>
              `${dayText(row.on)}, ${row.product}: ` +
              (row[one.nutrient] === null ? 'not known' : told((row[one.nutrient] ?? 0) / row.sizeM2)),
          ),
        `this application ${told(one.now)}`,
        `this year with it ${told(one.laid + one.now)}`,
      ])
    }
    return {
      lawn,
      year,
      laid,
      planned,
      now,
      unknown,
      slow,
      quick,
      others,
      wanted,
      state: wanted && (overWanted(laid + now, wanted) ? 'over' : 'within'),
    }
  })
}

/** Rows that are planned and not applied yet. */
const plannedOf = remembered((rows: readonly IndexedRow[]): readonly IndexedRow[] =>
  rows.filter((row) => row.planned),
)

/** What was put down that holds nitrogen in an amount nobody can tell, by name and day. */
const unknownIn = remembered((rows: readonly IndexedRow[]): readonly string[] =>
  rows.flatMap(({ n, product, on }) => (n === null ? [`${product} of ${dayText(on)}`] : [])),
)

/**
 * Kg of slow nitrogen on each m2 of rows, by the labels of a shelf; undefined where a row's product is none
 * of them.
 */
const slowShares = remembered((products: readonly LibraryProduct[]) => {
  const shares = new Map(
    products.map(({ id, document: { analysis } }) => [
      id,
      (typedFigure(analysis.slowN, 'percent', 'zero-too')?.value ?? 0) / 100,
    ]),
  )
  return remembered((rows: readonly IndexedRow[]): number | undefined =>
    rows.reduce<number | undefined>((sum, { sourceId, n, sizeM2 }) => {
      if (!n || sizeM2 <= 0) return sum
      const share = shares.get(sourceId ?? '')
      return share === undefined || sum === undefined ? undefined : sum + (n * share) / sizeM2
    }, 0),
  )
})
