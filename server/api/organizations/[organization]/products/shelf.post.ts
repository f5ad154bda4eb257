import { ImportProductsSchema } from '#shared/schemas/shelfFile'
import { readBodyAs } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { importProducts } from '../../../../services/shelfFiles'

/** Takes products of a file in, all or none. */
export default defineEventHandler(async (event) =>
  importProducts(repositoriesOf(event), await readBodyAs(event, ImportProductsSchema)),
)
