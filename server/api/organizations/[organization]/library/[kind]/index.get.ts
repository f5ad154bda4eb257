import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { libraryKindOf } from '../../../../../http/libraryOf'

export default defineEventHandler((event) =>
  libraryKindOf(event).list(repositoriesOf(event), getQuery(event)),
)
