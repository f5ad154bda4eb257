import { PRODUCT_COLUMNS, productRows } from '#core/label/productRows'
import type { Product, SaveProduct } from '#shared/schemas/product'
import type { ImportProducts, ImportedProducts, ProductFile } from '#shared/schemas/productFile'
import type { Repositories } from '../repositories/forOrganization'
import { saveRow } from './saveRow'
import { csvOf } from './csv'

/** The whole shelf as a file. */
export function productFile(
  products: readonly Pick<Product, 'id' | 'name' | 'document'>[],
  format: 'csv' | 'json',
): string {
  if (format === 'csv') return csvOf(productRows(products), { columns: PRODUCT_COLUMNS })
  const file: ProductFile = {
    format: 'shelf',
    schema: 1,
    products: products.map(({ id, name, document }) => ({ id, name, document })),
  }
  return `${JSON.stringify(file, null, 1)}\n`
}

/** Takes products in, all or none; one that is stored under its id already stays as it is. */
export async function importProducts(
  repositories: Repositories,
  { products }: ImportProducts,
): Promise<ImportedProducts> {
  return repositories.transaction(async (inside) => {
    let added = 0
    for (const { id, name, document } of products) {
      if (await inside.products.find(id)) continue
      const input: SaveProduct = { version: 0, name, document }
      await saveRow(inside.products, id, input, { kind: document.kind }, 'product')
      added += 1
    }
    return { added, kept: products.length - added }
  })
}
