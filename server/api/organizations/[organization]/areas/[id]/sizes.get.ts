import { restedSizes } from '#core/ground/restedSizes'
import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'

export default defineEventHandler(async (event) => {
  const id = readId(event)
  const { areas } = repositoriesOf(event)
  if (!(await areas.find(id))) throw failure('not-found', 'There is no such area.')
  return restedSizes(await areas.sizes(id))
})
