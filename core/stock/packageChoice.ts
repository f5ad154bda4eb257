import { isOver } from '../quantity/tolerance'
import { priceOf } from '../label/productDocument'
import type { Package, ProductDocument } from '../label/productShape'
import { packageSize } from '../label/packageSize'
import { readPositive, type Entered } from '../quantity/entered'
import { plural } from '../quantity/counting'
import { formatFigure } from '../quantity/format'
import type { Shown } from '../quantity/systems'
import { amountFactor, timeSi } from '../quantity/quantity'
import { SECONDS_PER, type AmountUnit } from '../quantity/units'
import { dimensionOf, type Dimension } from '../quantity/rateUnit'
import type { Movement } from './onHand'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'

/** What a year takes of a product, SI. */
export interface YearNeed {
  readonly dimension: Dimension
  readonly amount: number
}

/** Reads what somebody says a year takes; undefined until it can be read. */
export function yearNeedOf(entered: Entered<AmountUnit>): YearNeed | undefined {
  const read = readPositive(entered, 'amount', 'Need of a year')
  return read.ok
    ? { dimension: dimensionOf(read.value.unit), amount: read.value.value * amountFactor(read.value.unit) }
    : undefined
}

/** A year's need told in a unit, as the field that asks for it begins. */
export const enteredNeed = (need: YearNeed, unit: AmountUnit): Entered<AmountUnit> => ({
  text: formatFigure(need.amount / amountFactor(unit)).replaceAll(',', ''),
  unit,
})

/** The price of one unit out of a package, in the crew's currency. */
export const pricePer = ({ perUnit }: Pick<PackageVerdict, 'perUnit'>, unit: AmountUnit): number =>
  perUnit * amountFactor(unit)

/** One package against what a year needs. */
export interface PackageVerdict {
  readonly pack: Package
  /** In the crew's currency on each SI unit (kg or m3). */
  readonly perUnit: number
  /** Until one package is used up at this year's need. */
  readonly years: number
  /** In the crew's currency a year, over the years that it serves: until it is used up or spoils. */
  readonly perYear: number
  readonly state: 'best' | 'dearer'
  /** Whether it is used up in time. */
  readonly end: 'used up' | 'spoils'
}

const YEAR_S = 365.25 * SECONDS_PER.d

const WEEKS_OF_YEAR = YEAR_S / SECONDS_PER.wk

/** How long something lasts, in years, told in weeks where it is under one. */
export const lastingWords = (years: number): Shown =>
  years < 1
    ? { figure: formatFigure(years * WEEKS_OF_YEAR), unit: plural(years * WEEKS_OF_YEAR, 'week') }
    : { figure: formatFigure(years), unit: plural(years, 'year') }

/** How long a label says that a product keeps, in years; undefined where it does not say. */
export function shelfYears({ shelfLife }: Pick<ProductDocument, 'shelfLife'>): number | undefined {
  const read = shelfLife && readPositive(shelfLife, 'time', 'Keeps for')
  return read?.ok ? timeSi(read.value) / YEAR_S : undefined
}

/**
 * What jobs used in the twelve months before a day, in the dimension of most of it; undefined where none did.
 */
export function usedInYear(
  movements: readonly (Movement & { readonly on: string })[],
  today: string,
): YearNeed | undefined {
  const since = `${Number(today.slice(0, 4)) - 1}${today.slice(4)}`
  const used = movements.filter(({ kind, on }) => kind === 'used' && on > since && on <= today)
  const sums = (['mass', 'volume'] as const).map((dimension) => ({
    dimension,
    amount: -used.filter((one) => one.dimension === dimension).reduce((sum, { amount }) => sum + amount, 0),
  }))
  return sums.filter(({ amount }) => amount > 0).toSorted((a, b) => b.amount - a.amount)[0]
}

/**
 * What the coming year takes: what planned jobs are going to use, or what jobs used in the year before if
 * that was more. Plans seldom reach a whole season ahead.
 */
export function needAhead(
  used: YearNeed | undefined,
  planned: readonly YearNeed[],
): { readonly need: YearNeed; readonly from: 'used' | 'planned' } | undefined {
  const ahead = planned
    .filter(({ dimension, amount }) => amount > 0 && (!used || dimension === used.dimension))
    .toSorted((a, b) => b.amount - a.amount)[0]
  if (ahead && ahead.amount > (used?.amount ?? 0)) return { need: ahead, from: 'planned' }
  return used && { need: used, from: 'used' }
}

/**
 * Which package to buy: the one that costs least a year over the years it serves. What spoils is paid for
 * too, so a large one may be dearer than its price by amount says, and may still be the cheapest.
 * @param need SI of one dimension in a year; @param shelfLife years; undefined where the label does not say
 * @returns packages with size and price in the need's dimension, cheapest first
 * Source: trade.md 12: the big jug is cheaper only if used up within its shelf life.
 */
export function packageChoice(
  packages: readonly Package[],
  need: YearNeed,
  shelfLife: number | undefined,
  book: WorkingBook = closedWorkingBook,
): readonly PackageVerdict[] {
  const rows = packages
    .flatMap((pack) => {
      const [size, price] = [packageSize(pack, need.dimension), priceOf(pack.price)]
      if (size === undefined || price === undefined || need.amount <= 0) return []
      const years = size / need.amount
      const spoils = shelfLife !== undefined && isOver(years, shelfLife)
      const serves = spoils ? shelfLife : years
      return [{ pack, price, perUnit: price / size, years, serves, perYear: price / serves, spoils }]
    })
    .toSorted((a, b) => a.perYear - b.perYear)
  return rows.map(({ spoils, serves, price, ...row }, place): PackageVerdict => {
    book.note(`package.${row.pack.id}`, () => [
      `${row.pack.size.text} ${row.pack.size.unit} at ${row.pack.price}`,
      `this year's need takes ${sixDigits(1 / row.years)} of them`,
      ...(shelfLife === undefined
        ? ['the label gives no shelf life']
        : [`it keeps ${sixDigits(shelfLife)} years${spoils ? ': the rest of it spoils' : ''}`]),
      `one unit of it costs ${sixDigits(row.perUnit)} a ${need.dimension === 'mass' ? 'kg' : 'm3'}`,
      `${price} over the ${sixDigits(serves)} years it serves = ${sixDigits(row.perYear)} a year`,
      `one lasts = ${sixDigits(row.years)} years`,
    ])
    return { ...row, state: place === 0 ? 'best' : 'dearer', end: spoils ? 'spoils' : 'used up' }
  })
}
