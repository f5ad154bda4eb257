import { groupedRows, type Row, type RowAt, type RowProblem } from '../../shape/columns'
import { parseClock } from '../../calendar/parseClock'
import { parseDay } from '../../calendar/parseDay'
import { RATE_BASIS_NAMES } from '../../label/label'
import { readPositive } from '../../quantity/entered'
import type { Kind, KindUnits } from '../../quantity/parseQuantity'
import { dimensionOf, rateUnitParts } from '../../quantity/rateUnit'
import type { Quantity } from '../../quantity/quantity'
import type { EarlierProduct, EarlierWork, Moment } from './earlierWork'

/** Heads that are understood; those of the records' own export are among them. */
export const EARLIER_COLUMNS = [
  'record',
  'started',
  'finished',
  'site',
  'lawns',
  'treated',
  'treated_unit',
  'product',
  'registration',
  'active',
  'group',
  'used',
  'used_unit',
  'planned_rate',
  'rate_unit',
  'rate_basis',
  'carrier',
  'carrier_unit',
  'equipment',
  'calibration',
  'done_by',
  'licence',
  'target',
  'weather',
  'remarks',
] as const
type EarlierColumn = (typeof EARLIER_COLUMNS)[number]

/** Other words people write over the same columns. */
const ALSO: Readonly<Record<string, EarlierColumn>> = {
  date: 'finished',
  day: 'finished',
  start: 'started',
  end: 'finished',
  lawn: 'lawns',
  area: 'lawns',
  areas: 'lawns',
  size: 'treated',
  amount: 'used',
  rate: 'planned_rate',
  applicator: 'done_by',
  by: 'done_by',
  license: 'licence',
  water: 'carrier',
  notes: 'remarks',
}

/**
 * Reads a table of work that was carried out before, or without, a plan of ours: a row for each product, rows
 * of one record under the same `record`. A record with a problem is left out whole; the others are there.
 * @param idOf makes an id from what a record says, so that a file taken in twice is stored once
 * @param firstLine line of the file the first row stands on
 * @returns works in the order of the file, and every problem with its line and what would be right
 */
export function readEarlierRows(
  rows: readonly Row[],
  idOf: (words: string) => string,
  firstLine = 2,
): { readonly works: readonly EarlierWork[]; readonly problems: readonly RowProblem[] } {
  const problems: RowProblem[] = []
  const groups = groupedRows(
    rows,
    ({ at }, first) => at('record') !== '' && at('record') === first.at('record'),
    columnOf,
    firstLine,
  )
  const works = groups.flatMap((group) => {
    const before = problems.length
    const work = readGroup(group, problems, idOf)
    return work && problems.length === before ? [work] : []
  })
  return { works, problems }
}

function columnOf(head: string): string {
  const plain = head
    .trim()
    .toLowerCase()
    .replaceAll(/[\s-]+/g, '_')
  return ALSO[plain] ?? plain
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i

function readGroup(
  rows: readonly [RowAt, ...RowAt[]],
  problems: RowProblem[],
  idOf: (words: string) => string,
): EarlierWork | undefined {
  const [first] = rows
  const { at, line } = first
  const say = (row: RowAt, column: EarlierColumn, message: string) => {
    problems.push({ line: row.line, column, message })
    return undefined
  }
  const finished = momentIn(first, 'finished', say)
  const started = at('started') === '' ? undefined : momentIn(first, 'started', say)
  if (at('site') === '') say(first, 'site', 'Where it was is missing: write the name of the site.')
  const treated = figure(first, { column: 'treated', kind: 'area', bare: 'ft2', what: 'Lawn treated' }, say)
  const products = rows.map((row) => readProduct(row, say))
  const wet =
    at('carrier') !== '' || products.some((one) => one && dimensionOf(one.product.used.unit) === 'volume')
  const carrier = wet
    ? figure(
        first,
        { column: 'carrier', kind: 'carrier', bare: 'gal/1000 ft2', what: 'The carrier of a spray' },
        say,
      )
    : undefined
  if (!wet && rows.length > 1)
    say(
      first,
      'carrier',
      'Several products in one record are a tank mix: write the carrier it was sprayed in.',
    )
  if (!finished || !treated || (wet && !carrier)) return undefined
  const known = products.flatMap((one) => one ?? [])
  if (known.length < products.length) return undefined
  return {
    id: UUID.test(at('record')) ? at('record').toLowerCase() : idOf(wordsOf(rows)),
    line,
    ...(started && { started }),
    finished,
    site: at('site'),
    lawns: at('lawns')
      .split(';')
      .map((name) => name.trim())
      .filter(Boolean),
    treated,
    products: known.map(({ product }) => product),
    ...(carrier && { carrier }),
    equipment: at('equipment'),
    calibration: at('calibration'),
    details: {
      by: at('done_by'),
      licence: at('licence'),
      target: at('target'),
      weather: at('weather'),
      remarks: at('remarks'),
    },
    notes: known.flatMap(({ notes }) => notes),
  }
}

type Say = (row: RowAt, column: EarlierColumn, message: string) => undefined

function readProduct(
  row: RowAt,
  say: Say,
): { readonly product: EarlierProduct; readonly notes: readonly string[] } | undefined {
  const name = row.at('product')
  if (name === '') say(row, 'product', 'What went down is missing: write the name of the product.')
  const used = figure(row, { column: 'used', kind: 'amount', bare: 'lb', what: 'The amount used' }, say)
  const basis = row.at('rate_basis') || 'product'
  const isProduct = basis === 'product'
  const planned =
    isProduct && row.at('planned_rate') !== ''
      ? figure(row, { column: 'planned_rate', kind: 'rate', bare: 'lb/1000 ft2', what: 'The rate' }, say)
      : undefined
  if (planned && rateUnitParts(planned.unit).per !== 'area')
    say(row, 'planned_rate', 'A rate in a record is an amount over ground: write 3.4 lb/1000 ft2 or 5 L/ha.')
  if (!used || name === '') return undefined
  if (planned && rateUnitParts(planned.unit).dimension !== dimensionOf(used.unit))
    return say(
      row,
      'planned_rate',
      'The rate and the amount used must both be weights, or both be volumes: the density is not told here.',
    )
  const counted = Object.hasOwn(RATE_BASIS_NAMES, basis)
    ? RATE_BASIS_NAMES[basis as keyof typeof RATE_BASIS_NAMES]
    : basis
  return {
    product: {
      name,
      registration: row.at('registration'),
      active: row.at('active'),
      group: row.at('group'),
      used,
      ...(planned && { planned }),
    },
    notes: isProduct ? [] : [`Its planned rate counts ${counted}, not product: taken over without it.`],
  }
}

interface FigureCell<K extends Kind> {
  readonly column: 'treated' | 'used' | 'carrier' | 'planned_rate'
  readonly kind: K
  /** What the reader wants named; by then every figure has a unit of its own. */
  readonly bare: KindUnits[K]
  readonly what: string
}

/** A figure with its unit in the cell, or in the column beside it. */
function figure<K extends Kind>(
  row: RowAt,
  { column, kind, bare, what }: FigureCell<K>,
  say: Say,
): Quantity<KindUnits[K]> | undefined {
  const text = row.at(column)
  const unit = row.at(column === 'planned_rate' ? 'rate_unit' : `${column}_unit`)
  if (text === '') return say(row, column, `${what} is missing.`)
  const hasUnit = /[a-z%]/i.test(text)
  if (!hasUnit && unit === '') return say(row, column, `${what} needs its unit: “${text}” of what?`)
  const read = readPositive({ text: hasUnit ? text : `${text} ${unit}`, unit: bare }, kind, what)
  return read.ok ? read.value : say(row, column, read.error.message)
}

const INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:?\d{2})$/
const DAY_AND_TIME = /^(.*\S)[ T,]+(\d{1,2}(?:[:.]\d{2}.*|\s*[ap]\.?m\.?))$/i

function momentIn(row: RowAt, column: 'started' | 'finished', say: Say): Moment | undefined {
  const text = row.at(column)
  if (text === '')
    return say(row, column, 'When it was is missing: write the day as 2025-05-06 or 6 May 2025.')
  if (INSTANT.test(text)) {
    const instant = new Date(text)
    if (!Number.isNaN(instant.getTime())) return { instant: instant.toISOString() }
  }
  const [, dayPart = text, clock = ''] = DAY_AND_TIME.exec(text) ?? []
  // A year nobody lives in: a day without its own is refused, not guessed.
  const day = parseDay(dayPart, 0)
  if (!day.ok)
    return say(row, column, `“${text}” is not a day with its year: write it as 2025-05-06 or 6 May 2025.`)
  const time = clock === '' ? undefined : parseClock(clock)
  if (time && !time.ok) return say(row, column, time.error)
  return { day: day.value, time: time?.value ?? '' }
}

/** What tells one record from another where it has no id of its own. */
const wordsOf = (rows: readonly RowAt[]): string =>
  rows
    .map(({ at }) =>
      (['finished', 'started', 'site', 'lawns', 'treated', 'product', 'used', 'done_by'] as const)
        .map((column) => at(column).toLowerCase())
        .join('|'),
    )
    .join('\n')
