import { dayNumber } from '../calendar/dayNumber'
import { doseOf, type Dose } from '../label/dose'
import type { RateLine } from '../label/productShape'
import { lineSays, type LineSays } from '../label/read/readLine'
import { carrierOf } from '../plan/carrierOf'
import type { PlannedGroup } from '../plan/planGroup'
import type { AreaRate, PlanProduct, PlanRequest } from '../plan/planRequest'
import {
  inTwelveMonths,
  inYear,
  ledgerOf,
  withPlanned,
  type AreaLedger,
  type IndexedRow,
} from '../season/ledger'
import type { Plan } from '../plan/plan'
import type { AreaDraft, ProductDraft } from '../draft/applicationShape'
import type { RuleLibrary, RuleReading } from './reading'
import type { LibraryArea, LibraryProduct } from '../draft/fromLibrary'
import type { Remedy } from './check'

/** One product of the application with its label as it stands in the library and what goes down of it. */
export interface VisitedProduct {
  readonly index: number
  readonly note: ProductDraft
  readonly product: LibraryProduct
  readonly line: RateLine
  /** The same in figures. */
  readonly says: LineSays
  readonly planned: PlanProduct
  readonly dose: Dose
}

/** One lawn that is treated and known to the library, with what was put down on it. */
export interface VisitedArea {
  readonly index: number
  readonly lawn: AreaDraft
  readonly area: LibraryArea
  readonly ledger: AreaLedger
  /** Rates of its own. */
  readonly own: readonly AreaRate[]
  /** What of each product goes down here, SI on each m2. */
  readonly doses: ReadonlyMap<string, number>
}

/** An application whose amounts are known, with its labels and what lies on its areas brought together. */
export interface RuleVisit extends RuleReading {
  readonly request: PlanRequest
  readonly plan: Plan
  readonly library: RuleLibrary
  readonly lines: readonly VisitedProduct[]
  readonly lawns: readonly VisitedArea[]
  /** Its day as days since 1970, and its year. */
  readonly dayNumber: number
  readonly year: number
}

/**
 * Brings draft, label, dose and ledger together; products and areas that come from no library are left to the
 * other rules.
 * @returns undefined until the amounts are known and the library has come
 */
export function ruleVisit(reading: RuleReading): RuleVisit | undefined {
  const { draft, request, plan, groups, library, ledger, day } = reading
  if (!request || !plan || !library) return undefined
  const carrier = carrierOf(request.method)
  const lines = draft.products.flatMap((note, index): VisitedProduct[] => {
    const product = note.source && library.products.find(({ id }) => id === note.source?.id)
    const line = product?.document.lines.find(({ id }) => id === note.source?.line)
    const planned = request.products.find(({ id }) => id === note.id)
    const dose = planned && doseOf(planned, carrier)
    return product && line && planned && dose?.ok
      ? [{ index, note, product, line, says: lineSays(line), planned, dose: dose.value }]
      : []
  })
  const lawns = draft.lawns.flatMap((lawn, index): VisitedArea[] => {
    const area =
      lawn.treated === 'yes' && lawn.source
        ? library.areas.find(({ id }) => id === lawn.source?.id)
        : undefined
    if (!area) return []
    const laid = withPlanned(ledgerOf(ledger.laid, area.id), ledger.planned, area.id)
    const own = request.areas.find(({ id }) => id === lawn.id)?.rates ?? []
    return [{ index, lawn, area, ledger: laid, own, doses: dosesOn(lawn.id, groups) }]
  })
  return {
    ...reading,
    request,
    plan,
    library,
    lines,
    lawns,
    dayNumber: dayNumber(day),
    year: Number(day.slice(0, 4)),
  }
}

/** Products at the rates of the group that a lawn is planned in. */
const dosesOn = (lawnId: string, groups: readonly PlannedGroup[]): ReadonlyMap<string, number> =>
  new Map(
    groups
      .find(({ areas }) => areas.some(({ entered }) => entered.id === lawnId))
      ?.products.map(({ resolved }) => [resolved.product.id, resolved.dose.perArea]),
  )

/** Product on the ground of one lawn, SI on each m2 in the line's dimension. */
export const perAreaOn = ({ doses }: Pick<VisitedArea, 'doses'>, { note, dose }: VisitedProduct): number =>
  doses.get(note.id) ?? dose.perArea

/** Dates that this job still stands for: on the first of two the sum of both is tested against the year. */
export const datesOf = ({ note }: VisitedProduct): number =>
  note.split === 'share' || note.split === 'repeat' ? 2 : 1

/** Of rows, those of the job's calendar year, and what is planned in it. */
export const thisYear = (
  rows: readonly IndexedRow[] | undefined,
  { year }: Pick<RuleVisit, 'year'>,
): readonly IndexedRow[] => (rows ? inYear(rows, year) : [])

/** A year as a limit means it. */
export interface LimitYear {
  /** Of rows, those that stand in each such year that holds the job's day; one at least. */
  readonly windowsOf: (rows: readonly IndexedRow[]) => readonly (readonly IndexedRow[])[]
  /** "this year", "in twelve months". */
  readonly words: string
  /** "2026", "twelve months". */
  readonly span: string
  /** What a limit passed in it means: a year the label may not mean is only warned of. */
  readonly level: 'stop' | 'warn'
}

/** The years a line's limits are held against; unsaid by the label, the stricter is shown too. */
export function limitYears(
  { line: { period = '' } }: VisitedProduct,
  context: RuleVisit,
): readonly LimitYear[] {
  const calendar = (level: 'stop' | 'warn'): LimitYear => ({
    windowsOf: (rows) => [thisYear(rows, context)],
    words: 'this year',
    span: String(context.year),
    level,
  })
  const twelve = (level: 'stop' | 'warn', span: string): LimitYear => ({
    windowsOf: (rows) => inTwelveMonths(rows, context.dayNumber),
    words: `in ${span}`,
    span,
    level,
  })
  if (period === 'calendar year') return [calendar('stop')]
  if (period === 'twelve months') return [twelve('stop', 'twelve months')]
  return [calendar('stop'), twelve('warn', 'twelve months, which the label may mean by a year')]
}

/** Of the years that hold the day the one in which most of something lies. */
export const fullestOf = (
  { windowsOf }: LimitYear,
  rows: readonly IndexedRow[],
  much: (rows: readonly IndexedRow[]) => number,
): readonly IndexedRow[] =>
  windowsOf(rows).reduce((most, window) => (much(window) > much(most) ? window : most))

/** Ways out that leave a lawn untreated; three at most, so that they can be read. */
export const leaveOut = (lawns: readonly Pick<VisitedArea, 'index' | 'area'>[]): readonly Remedy[] =>
  lawns.slice(0, 3).map(({ index, area }) => ({
    label: `Leave out ${area.name}`,
    path: `lawns.${index}.treated`,
    value: 'no',
  }))

/** Where the density is to be typed that makes an amount known. */
export const densityOf = ({ draft }: RuleVisit, names: readonly string[]): readonly Remedy[] =>
  draft.products.flatMap(({ name }, index) =>
    names.includes(name)
      ? [{ label: `Enter the density of ${name}`, path: `products.${index}.density` }]
      : [],
  )

/** "Front", "Front and Side", "Front and 3 more". */
export function namesOf(lawns: readonly { readonly area: { readonly name: string } }[]): string {
  const [first, second] = lawns
  if (!first) return ''
  if (!second) return first.area.name
  return lawns.length === 2
    ? `${first.area.name} and ${second.area.name}`
    : `${first.area.name} and ${lawns.length - 1} more`
}

/** What is said where a sum holds work that is planned and not done yet. */
export const plannedWords = (rows: readonly IndexedRow[]): string =>
  rows.some(({ planned }) => planned) ? ', planned work counted' : ''

/** The mark of a row in a working: done or only planned. */
export const plannedMark = ({ planned }: IndexedRow): string =>
  planned === 'visit' ? ' (this visit)' : planned === 'job' ? ' (another planned job)' : ''
