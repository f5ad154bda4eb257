import { DROP_SIZES } from '../calibration/dropSize'
import { GRASS_NAMES, type GrassName } from '../ground/grasses'
import { TURF_STATES } from '../ground/turfStates'
import { figureIn } from '../quantity/cells'
import type { Kind, KindUnits } from '../quantity/parseQuantity'
import type { UnitSystem } from '../quantity/systems'
import { blankProductDocument, blankRateLine } from './blankProduct'
import { FORMS, RATE_BASES } from './label'
import { YEAR_PERIODS, APPLICATION_METHODS, NITROGEN_FORMS, PRODUCT_KINDS } from './productDocument'
import { LINE_FIGURE_NAMES, LINE_FIGURES } from './productFields'
import type { LineFigures, ProductDocument, RateLine } from './productShape'
import { FIGURE_COLUMNS, type NamedProduct, type ProductColumn } from './productRows'

/**
 * Something a table says that can't be taken, with the line of the file it stands in (the heads are line 1).
 */
export interface ProductRowProblem {
  readonly line: number
  readonly column: ProductColumn
  readonly message: string
}

interface RowAt {
  readonly at: (column: ProductColumn) => string
  readonly line: number
}

/**
 * Reads labels back, or a table that somebody made with a spreadsheet: rows of one name that follow
 * each other are lines of one label.
 * @param newId makes ids where there are none; @returns all products, or every problem with its line
 */
export function readProductRows(
  rows: readonly Readonly<Partial<Record<string, string>>>[],
  newId: () => string,
  system: UnitSystem,
): { readonly products: readonly NamedProduct[]; readonly problems: readonly ProductRowProblem[] } {
  const problems: ProductRowProblem[] = []
  const groups: { id: string; name: string; rows: RowAt[] }[] = []
  rows.forEach((row, i) => {
    const at = (column: ProductColumn) => (row[column] ?? '').trim()
    const last = groups.at(-1)
    if (last && last.name === at('name') && (at('product') === '' || at('product') === last.id))
      last.rows.push({ at, line: i + 2 })
    else groups.push({ id: at('product') || newId(), name: at('name'), rows: [{ at, line: i + 2 }] })
  })
  const products = groups.map(({ id, name, rows: own }) => {
    if (name === '')
      problems.push({ line: own[0]?.line ?? 2, column: 'name', message: 'A product needs its name.' })
    return { id, name, document: readLabel(own, problems, newId, system) }
  })
  return problems.length > 0 ? { products: [], problems } : { products, problems }
}

/** Reads cells of one label; what can't be taken lands in the problems, at its line and column. */
function cellReader(rows: readonly RowAt[], problems: ProductRowProblem[]) {
  const first = rows[0]!
  const say =
    ({ line }: RowAt, column: ProductColumn) =>
    (message: string) => {
      problems.push({ line, column, message })
    }
  const known = <V extends string>(
    row: RowAt,
    column: ProductColumn,
    values: readonly V[],
    text: string,
  ): V | undefined => {
    const found = values.find((value) => value === text)
    if (found === undefined)
      say(
        row,
        column,
      )(`“${text}” is not known here: one of ${values.filter((value) => value !== '').join(', ')}.`)
    return found
  }
  return {
    first,
    say,
    get: <K extends Kind>(row: RowAt, column: ProductColumn, kind: K, unit: KindUnits[K]) =>
      figureIn(row.at(column), kind, unit, say(row, column)),
    pick: <V extends string>(row: RowAt, column: ProductColumn, values: readonly V[], otherwise: V): V =>
      row.at(column) === '' ? otherwise : (known(row, column, values, row.at(column)) ?? otherwise),
    /** Things parted by ;, their parts by |. */
    parts: (column: ProductColumn) =>
      first
        .at(column)
        .split(';')
        .map((one) => one.split('|').map((part) => part.trim()))
        .filter(([head = '']) => head !== ''),
    grasses: (row: RowAt, column: ProductColumn): readonly GrassName[] =>
      row
        .at(column)
        .split(';')
        .map((one) => one.trim())
        .filter(Boolean)
        .flatMap((one) => known(row, column, GRASS_NAMES, one) ?? []),
  }
}
type CellReader = ReturnType<typeof cellReader>

function readLabel(
  rows: readonly RowAt[],
  problems: ProductRowProblem[],
  newId: () => string,
  system: UnitSystem,
): ProductDocument {
  const cells = cellReader(rows, problems)
  const { first, say, get, pick, parts } = cells
  const blank = blankProductDocument(newId(), system)
  const form = pick(first, 'form', FORMS, 'granule')
  const share = (column: ProductColumn) => get(first, column, 'percent', '%')
  return {
    ...blank,
    kind: pick(first, 'kind', PRODUCT_KINDS, 'fertilizer'),
    form,
    registration: first.at('registration'),
    density: get(first, 'density', 'density', blank.density.unit),
    analysis: {
      n: share('n'),
      p2o5: share('p2o5'),
      k2o: share('k2o'),
      fe: share('fe'),
      slowN: share('slow_n'),
    },
    actives: parts('actives').map(([name = '', content = '', group = '']) => ({
      id: newId(),
      name,
      content: figureIn(content, 'content', '%', say(first, 'actives')),
      group,
    })),
    packages: parts('packages').map(([size = '', price = '']) => ({
      id: newId(),
      size: figureIn(size, 'amount', 'lb', say(first, 'packages')),
      price,
    })),
    reentry: get(first, 'reentry', 'time', 'h'),
    signal: pick(first, 'signal', ['', 'caution', 'warning', 'danger'] as const, ''),
    notes: first.at('notes'),
    reorderAt: get(first, 'reorder_at', 'amount', blank.reorderAt.unit),
    label: pick(first, 'label', ['own', 'sample'] as const, 'own'),
    ...readExtras(cells, newId),
    lines: rows.map((row) => readLine(cells, row, blankRateLine(newId(), form, system))),
  }
}

/** What a label says of the product beside its analysis; blank cells leave nothing behind. */
function readExtras(
  { first, say, get, pick, parts, grasses }: CellReader,
  newId: () => string,
): Partial<ProductDocument> {
  const has = (...columns: readonly ProductColumn[]) => columns.some((column) => first.at(column) !== '')
  const form = (column: ProductColumn) => get(first, column, 'percent', '%')
  return {
    ...(has('grain') && { grain: get(first, 'grain', 'grain', 'mm') }),
    ...(has(...NITROGEN_FORMS) && {
      nForms: { nitrate: form('nitrate'), ammonium: form('ammonium'), urea: form('urea') },
    }),
    ...(has('coating') && { coating: first.at('coating') }),
    ...(has('releases') && { releases: get(first, 'releases', 'time', 'wk') }),
    ...(has('potassium') && {
      potassium: pick(first, 'potassium', ['', 'chloride', 'sulfate'] as const, ''),
    }),
    ...(has('salt_index') && { saltIndex: first.at('salt_index') }),
    ...(has('ph_from', 'ph_to', 'goes_in') && {
      ph: {
        from: first.at('ph_from'),
        to: first.at('ph_to'),
        last: pick(first, 'goes_in', ['', 'last'] as const, ''),
      },
    }),
    ...(has('measures') && {
      measures: parts('measures').map(([tool = '', holds = '', marks = '']) => ({
        id: newId(),
        tool,
        marks,
        holds: figureIn(holds, 'amount', 'lb', say(first, 'measures')),
      })),
    }),
    ...(has('dials') && {
      dials: parts('dials').map(([spreader = '', dial = '']) => ({ id: newId(), spreader, dial })),
    }),
    ...(has('harms') && { harms: grasses(first, 'harms') }),
    ...(has('restrictions') && { restrictions: first.at('restrictions') }),
    ...(has('shelf_life') && { shelfLife: get(first, 'shelf_life', 'time', 'wk') }),
  }
}

function readLine({ get, pick, grasses }: CellReader, row: RowAt, blank: RateLine): RateLine {
  const rate = (column: ProductColumn) => get(row, column, 'rate', blank.rate.unit)
  const figures = Object.fromEntries(
    LINE_FIGURE_NAMES.flatMap((name) => {
      const { kind, unit } = LINE_FIGURES[name]
      return row.at(FIGURE_COLUMNS[name]) === '' ? [] : [[name, get(row, FIGURE_COLUMNS[name], kind, unit)]]
    }),
  ) as LineFigures
  return {
    ...blank,
    use: row.at('use'),
    basis: pick(row, 'counts', RATE_BASES, 'product'),
    rate: rate('rate'),
    low: rate('low'),
    high: rate('high'),
    most: rate('most'),
    year: rate('year'),
    repeatFrom: get(row, 'repeat_from', 'time', 'd'),
    repeatTo: get(row, 'repeat_to', 'time', 'd'),
    method: pick(row, 'method', APPLICATION_METHODS, ''),
    perYear: row.at('per_year'),
    inRow: row.at('in_row'),
    ...(row.at('year_active') && { yearActive: get(row, 'year_active', 'rate', 'lb/ac') }),
    ...(row.at('year_means') && { period: pick(row, 'year_means', YEAR_PERIODS, '') }),
    ...(row.at('heat_units') && { heatUnits: row.at('heat_units') }),
    ...(row.at('grasses') && { grasses: grasses(row, 'grasses') }),
    ...(row.at('growth') && { growth: pick(row, 'growth', TURF_STATES, '') }),
    ...(row.at('drops') && { drops: pick(row, 'drops', DROP_SIZES, '') }),
    ...(row.at('spares_sown') && { sparesSown: grasses(row, 'spares_sown') }),
    ...(Object.keys(figures).length > 0 && { figures }),
  }
}
