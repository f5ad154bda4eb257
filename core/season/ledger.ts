import { dayNumber, dayOfNumber } from '../calendar/dayNumber'
import type { ProductDocument } from '../label/productShape'
import type { Dimension } from '../quantity/rateUnit'
import { remembered } from '../remembered'

/** One product on one area, as the ledger tells it. */
export interface LedgerRow {
  readonly applicationId: string
  readonly areaId: string
  readonly product: string
  /** The saved product; null where it came from none. */
  readonly sourceId: string | null
  readonly active: string
  /** Mode-of-action groups as printed, joined by +. */
  readonly groups: string
  /** YYYY-MM-DD. */
  readonly on: string
  readonly dimension: Dimension
  /** Kg or m3 of product. */
  readonly amount: number
  /** The size the area had then. */
  readonly sizeM2: number
  /** Kg; null where the label did not tell. */
  readonly n: number | null
  readonly p2o5: number | null
  readonly k2o: number | null
  /** What its label said, where the product is no longer on the shelf. */
  readonly label?: Pick<ProductDocument, 'kind' | 'actives' | 'density'> | null
}

/**
 * A row of work that is not done yet: another application of the visit, or another planned job on the area.
 */
export interface PlannedRow extends LedgerRow {
  readonly planned: 'visit' | 'job'
  /**
   * Whether it goes down before the application in hand or after it; sums count both, runs and intervals what
   * is before.
   */
  readonly order: 'before' | 'after'
  /** Kg of nitrogen that is not slow release; null where the label does not tell. */
  readonly quickN: number | null
}

/** A row with its words taken apart once, for a sheet asks again at every key. */
export interface IndexedRow extends LedgerRow {
  /** Where it is not done yet. */
  readonly planned?: PlannedRow['planned']
  readonly order?: PlannedRow['order']
  readonly quickN?: number | null
  readonly actives: readonly string[]
  /** Days since 1970, and the year. */
  readonly dayNumber: number
  readonly year: number
}

/** Everything that lies on one area, newest first, and the same by product and by active. */
export interface AreaLedger {
  readonly rows: readonly IndexedRow[]
  readonly byProduct: ReadonlyMap<string, readonly IndexedRow[]>
  readonly byActive: ReadonlyMap<string, readonly IndexedRow[]>
}

const NOTHING: AreaLedger = { rows: [], byProduct: new Map(), byActive: new Map() }
/** What lies on one area; a list of rows is indexed once. */
export const ledgerOf = (rows: readonly LedgerRow[], areaId: string): AreaLedger =>
  byArea(rows).get(areaId) ?? NOTHING
const byArea = remembered(indexed)

/**
 * What lies on one area with what else is to go down on it; without any such work the same ledger as before.
 */
export function withPlanned(ledger: AreaLedger, planned: readonly PlannedRow[], areaId: string): AreaLedger {
  const own = planned.filter((row) => row.areaId === areaId)
  return own.length === 0 ? ledger : indexRows([...own.map(indexRow), ...ledger.rows])
}

function indexed(rows: readonly LedgerRow[]): ReadonlyMap<string, AreaLedger> {
  const areas = new Map<string, IndexedRow[]>()
  for (const row of rows) add(areas, row.areaId, indexRow(row))
  return new Map([...areas].map(([id, own]) => [id, indexRows(own)]))
}

const indexRow = (row: LedgerRow): IndexedRow => ({
  ...row,
  actives: activesIn(row.active),
  dayNumber: dayNumber(row.on),
  year: Number(row.on.slice(0, 4)),
})

function indexRows(rows: readonly IndexedRow[]): AreaLedger {
  const sorted = rows.toSorted(
    (a, b) =>
      b.dayNumber - a.dayNumber ||
      (a.applicationId < b.applicationId ? -1 : a.applicationId > b.applicationId ? 1 : 0),
  )
  const [byProduct, byActive] = [new Map<string, IndexedRow[]>(), new Map<string, IndexedRow[]>()]
  for (const row of sorted) {
    if (row.sourceId !== null) add(byProduct, row.sourceId, row)
    for (const active of row.actives) add(byActive, active, row)
  }
  return { rows: sorted, byProduct, byActive }
}

function add<T>(lists: Map<string, T[]>, key: string, item: T): void {
  const list = lists.get(key)
  if (list) list.push(item)
  else lists.set(key, [item])
}

const years = new WeakMap<
  readonly IndexedRow[],
  { readonly year: number; readonly rows: readonly IndexedRow[] }
>()

/**
 * Rows of one calendar year, also those of later days: entered afterwards or planned, they count in it. Kept
 * for the list until another year is asked for.
 */
export function inYear(rows: readonly IndexedRow[], year: number): readonly IndexedRow[] {
  const known = years.get(rows)
  if (known?.year === year) return known.rows
  const found = rows.filter((row) => row.year === year)
  years.set(rows, { year, rows: found })
  return found
}

/** Twelve months later by the calendar: the first day that is outside. From 29 February that is 1 March. */
function aYearAfter(day: number): number {
  const [year, rest] = [Number(dayOfNumber(day).slice(0, 4)), dayOfNumber(day).slice(4)]
  return dayNumber(rest === '-02-29' ? `${year + 1}-03-01` : `${year + 1}${rest}`)
}

const twelveMonths = new WeakMap<
  readonly IndexedRow[],
  { readonly today: number; readonly windows: readonly (readonly IndexedRow[])[] }
>()

/**
 * Rows of each twelve months that hold a day, by the calendar: from 2 March to 1 March. A window whose rows
 * all stand in another one is left out; there is always one.
 * Source: trade.md 5, every window that holds the day counts.
 */
export function inTwelveMonths(
  rows: readonly IndexedRow[],
  today: number,
): readonly (readonly IndexedRow[])[] {
  const known = twelveMonths.get(rows)
  if (known?.today === today) return known.windows
  const starts = [...new Set([...rows.map((row) => row.dayNumber), today])]
    .filter((start) => start <= today && aYearAfter(start) > today)
    .toSorted((a, b) => a - b)
  const windows: (readonly IndexedRow[])[] = []
  let reached = -Infinity
  for (const start of starts) {
    const end = aYearAfter(start)
    const found = rows.filter((row) => row.dayNumber >= start && row.dayNumber < end)
    const last = found.reduce((latest, row) => Math.max(latest, row.dayNumber), -Infinity)
    // It begins later than the one before: only what lies behind that one's end makes it another.
    if (windows.length > 0 && last <= reached) continue
    windows.push(found)
    reached = last
  }
  twelveMonths.set(rows, { today, windows })
  return windows
}

/**
 * Product on the ground of the rows together, SI on each m2, by dimension: every job by the size the area had
 * then.
 */
export const laidPerArea = remembered((rows: readonly IndexedRow[]): Readonly<Record<Dimension, number>> => {
  const sums = { mass: 0, volume: 0 }
  for (const { dimension, amount, sizeM2 } of rows) if (sizeM2 > 0) sums[dimension] += amount / sizeM2
  return sums
})

/** How many applications the rows come from. */
export const applicationsIn = remembered(
  (rows: readonly IndexedRow[]): number => new Set(rows.map(({ applicationId }) => applicationId)).size,
)

/** Kg of nitrogen on each m2 of the rows together. */
export const nitrogenPerArea = remembered((rows: readonly IndexedRow[]): number =>
  rows.reduce((sum, { n, sizeM2 }) => (sizeM2 > 0 ? sum + (n ?? 0) / sizeM2 : sum), 0),
)

/** Kg of phosphate and of potash on each m2 of the rows together. */
export const nutrientPerArea = {
  p2o5: remembered((rows: readonly IndexedRow[]): number =>
    rows.reduce((sum, { p2o5, sizeM2 }) => (sizeM2 > 0 ? sum + (p2o5 ?? 0) / sizeM2 : sum), 0),
  ),
  k2o: remembered((rows: readonly IndexedRow[]): number =>
    rows.reduce((sum, { k2o, sizeM2 }) => (sizeM2 > 0 ? sum + (k2o ?? 0) / sizeM2 : sum), 0),
  ),
} as const

/** The actives of a text as the ledger holds it. */
const activesIn = (text: string): readonly string[] =>
  text
    .split('+')
    .map((name) => name.trim().toLowerCase())
    .filter((name) => name !== '')

/**
 * How many applications one after the other, newest first, held a group, whatever the product's name; only
 * those of its family that carry any group stand in the row.
 * @param rows newest first; rows of one application stand together and count once
 * @param groupsOf the groups of a row; undefined where it is not of the family
 * @example a premix of 3 and 11 after 11, 3, 11, 3: a row of one 11, and of no 3
 * Source: trade.md 5, a run of one group.
 */
export function groupRun(
  rows: readonly IndexedRow[],
  group: string,
  groupsOf: (row: IndexedRow) => readonly string[] | undefined,
): number {
  let [run, application, held] = [0, '', false]
  for (const row of rows) {
    const groups = groupsOf(row)
    if (!groups || groups.length === 0) continue
    if (row.applicationId !== application) {
      // Nothing older counts once the row is broken.
      if (application !== '' && !held) return run
      run += held ? 1 : 0
      application = row.applicationId
      held = false
    }
    held ||= groups.includes(group)
  }
  return held ? run + 1 : run
}
