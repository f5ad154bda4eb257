import * as v from 'valibot'
import { ProductDocumentSchema } from '../../core/label/productShape'
import { Name, Uuid } from '#core/shape/texts'

/** Products with their own ids, so that a file taken in twice is stored once. */
const products = v.pipe(
  v.array(v.strictObject({ id: Uuid, name: Name, document: ProductDocumentSchema })),
  v.minLength(1, 'holds no product'),
  v.maxLength(1000, 'holds more than 1,000 products'),
)

export const ImportProductsSchema = v.strictObject({ products })
export type ImportProducts = v.InferOutput<typeof ImportProductsSchema>

/** The JSON file: what is exported can be taken in again. */
export const ProductFileSchema = v.strictObject({
  format: v.literal('shelf'),
  schema: v.literal(1),
  products,
})
export type ProductFile = v.InferOutput<typeof ProductFileSchema>

export interface ImportedProducts {
  readonly added: number
  /** Already stored under their id, and left as they are. */
  readonly kept: number
}
