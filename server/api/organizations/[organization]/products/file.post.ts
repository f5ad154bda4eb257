import { ImportProductsSchema } from '#shared/schemas/productFile'
import { readBodyAs } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { importProducts } from '../../../../services/productFiles'

/** Takes products of a file in, all or none. */
export default defineEventHandler(async (event) =>
  importProducts(repositoriesOf(event), await readBodyAs(event, ImportProductsSchema)),
)
