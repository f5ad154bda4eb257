import { repositoriesOf } from '../../http/repositoriesOf'
import { recordPage } from '../../services/recordPage'

export default defineEventHandler((event) => recordPage(repositoriesOf(event), getQuery(event)))
