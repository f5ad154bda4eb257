import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { seasonOf } from '../../../../../services/areaSeason'

export default defineEventHandler((event) =>
  seasonOf(repositoriesOf(event), organizationOf(event), readId(event)),
)
