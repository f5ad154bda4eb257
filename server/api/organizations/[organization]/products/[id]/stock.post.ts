import { NewMovementSchema } from '#shared/schemas/product'
import { readBodyAs, readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { moveStock } from '../../../../../services/stock'

export default defineEventHandler(async (event) => {
  const id = readId(event)
  return moveStock(repositoriesOf(event), id, await readBodyAs(event, NewMovementSchema))
})
