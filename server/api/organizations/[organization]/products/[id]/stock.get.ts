import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { readStock } from '../../../../../services/stock'

export default defineEventHandler(async (event) => {
  const id = readId(event)
  const repositories = repositoriesOf(event)
  if (!(await repositories.products.find(id))) throw failure('not-found', 'There is no such product.')
  return readStock(repositories, id)
})
