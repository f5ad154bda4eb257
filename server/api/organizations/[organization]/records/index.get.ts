import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { recordPage } from '../../../../services/recordList'

export default defineEventHandler((event) =>
  recordPage(repositoriesOf(event), organizationOf(event), getQuery(event)),
)
