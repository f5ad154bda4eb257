import { figureCell } from '../quantity/cells'
import type { ProductDocument } from './productDocument'

/** The columns of a shelf as a table: a row for each rate line, what a product's lines share repeated. */
export const PRODUCT_COLUMNS = [
  'product', 'name', 'kind', 'form', 'registration', 'density', 'n', 'p2o5', 'k2o', 'fe', 'slow_n', 'actives', 'packages', 'reentry', 'signal', 'notes',
  'line', 'use', 'counts', 'rate', 'low', 'high', 'most', 'year', 'repeat_from', 'repeat_to', 'method', 'per_year', 'in_row',
] as const
export type ProductColumn = (typeof PRODUCT_COLUMNS)[number]
export interface NamedProduct { readonly id: string; readonly name: string; readonly document: ProductDocument }

/** A shelf as rows; the figures beside the rates (water-in, seeding, buffer and the like) travel in JSON only. */
export function productRows(products: readonly NamedProduct[]): readonly Readonly<Record<ProductColumn, string>>[] {
  return products.flatMap(({ id, name, document }) => {
    const { kind, form, registration, density, analysis, actives, packages, reentry, signal, notes } = document
    const shared = {
      product: id, name, kind, form, registration, density: figureCell(density), n: analysis.n.text, p2o5: analysis.p2o5.text, k2o: analysis.k2o.text, fe: analysis.fe.text, slow_n: analysis.slowN.text,
      actives: actives.map((active) => [active.name, figureCell(active.content), active.group].join(' | ')).join('; '), packages: packages.map(({ size, price }) => `${figureCell(size)} | ${price}`).join('; '),
      reentry: figureCell(reentry), signal, notes,
    }
    return document.lines.map((line, i) => ({
      ...shared, line: String(i + 1), use: line.use, counts: line.basis, rate: figureCell(line.rate), low: figureCell(line.low), high: figureCell(line.high), most: figureCell(line.most), year: figureCell(line.year),
      repeat_from: figureCell(line.repeatFrom), repeat_to: figureCell(line.repeatTo), method: line.method ?? '', per_year: line.perYear ?? '', in_row: line.inRow ?? '',
    }))
  })
}
