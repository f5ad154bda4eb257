import { figureIn } from '../quantity/cells'
import type { Kind, KindUnits } from '../quantity/parseQuantity'
import type { UnitSystem } from '../quantity/systems'
import { blankProductDocument, blankRateLine } from './blankProduct'
import { FORMS, RATE_BASES } from './label'
import { APPLICATION_METHODS, PRODUCT_KINDS, type ProductDocument, type RateLine } from './productDocument'
import type { NamedProduct, ProductColumn } from './productRows'

/** Something a table says that can't be taken, with the line of the file it stands in (the heads are line 1). */
export interface ProductRowProblem { readonly line: number; readonly column: ProductColumn; readonly message: string }

interface RowAt { readonly at: (column: ProductColumn) => string; readonly line: number }

/**
 * Reads a shelf back, or one that somebody made with a spreadsheet: rows of one name that follow each other are lines of one label.
 * @param newId makes ids where there are none; @returns all products, or every problem with its line
 */
export function readProductRows(rows: readonly Readonly<Partial<Record<string, string>>>[], newId: () => string, system: UnitSystem): { readonly products: readonly NamedProduct[]; readonly problems: readonly ProductRowProblem[] } {
  const problems: ProductRowProblem[] = []
  const groups: { id: string; name: string; rows: RowAt[] }[] = []
  rows.forEach((row, i) => {
    const at = (column: ProductColumn) => (row[column] ?? '').trim()
    const last = groups.at(-1)
    if (last && last.name === at('name') && (at('product') === '' || at('product') === last.id)) last.rows.push({ at, line: i + 2 })
    else groups.push({ id: at('product') || newId(), name: at('name'), rows: [{ at, line: i + 2 }] })
  })
  const products = groups.map(({ id, name, rows: own }) => {
    if (name === '') problems.push({ line: own[0]?.line ?? 2, column: 'name', message: 'A product needs its name.' })
    return { id, name, document: readLabel(own, problems, newId, system) }
  })
  return problems.length > 0 ? { products: [], problems } : { products, problems }
}

function readLabel(rows: readonly RowAt[], problems: ProductRowProblem[], newId: () => string, system: UnitSystem): ProductDocument {
  const first = rows[0]!
  const say = ({ line }: RowAt, column: ProductColumn) => (message: string) => { problems.push({ line, column, message }) }
  const get = <K extends Kind>(row: RowAt, column: ProductColumn, kind: K, unit: KindUnits[K]) => figureIn(row.at(column), kind, unit, say(row, column))
  const pick = <V extends string>(row: RowAt, column: ProductColumn, values: readonly V[], otherwise: V): V => {
    const text = row.at(column)
    const found = text === '' ? otherwise : values.find((value) => value === text)
    if (found === undefined) say(row, column)(`“${text}” is not known here: one of ${values.filter((value) => value !== '').join(', ')}.`)
    return found ?? otherwise
  }
  const parts = (column: ProductColumn) => first.at(column).split(';').map((one) => one.split('|').map((part) => part.trim())).filter(([head = '']) => head !== '')
  const blank = blankProductDocument(newId(), system)
  const form = pick(first, 'form', FORMS, 'granule')
  const share = (column: ProductColumn) => get(first, column, 'percent', '%')
  return {
    ...blank, kind: pick(first, 'kind', PRODUCT_KINDS, 'fertilizer'), form, registration: first.at('registration'), density: get(first, 'density', 'density', blank.density.unit),
    analysis: { n: share('n'), p2o5: share('p2o5'), k2o: share('k2o'), fe: share('fe'), slowN: share('slow_n') },
    actives: parts('actives').map(([name = '', content = '', group = '']) => ({ id: newId(), name, content: figureIn(content, 'content', '%', say(first, 'actives')), group })),
    packages: parts('packages').map(([size = '', price = '']) => ({ id: newId(), size: figureIn(size, 'amount', 'lb', say(first, 'packages')), price })),
    reentry: get(first, 'reentry', 'time', 'h'), signal: pick(first, 'signal', ['', 'caution', 'warning', 'danger'] as const, ''), notes: first.at('notes'),
    lines: rows.map((row): RateLine => {
      const line = blankRateLine(newId(), form, system)
      const rate = (column: ProductColumn) => get(row, column, 'rate', line.rate.unit)
      return {
        ...line, use: row.at('use'), basis: pick(row, 'counts', RATE_BASES, 'product'), rate: rate('rate'), low: rate('low'), high: rate('high'), most: rate('most'), year: rate('year'),
        repeatFrom: get(row, 'repeat_from', 'time', 'd'), repeatTo: get(row, 'repeat_to', 'time', 'd'), method: pick(row, 'method', APPLICATION_METHODS, ''), perYear: row.at('per_year'), inRow: row.at('in_row'),
      }
    }),
  }
}
