import { organizationOf, repositoriesOf } from '../../../http/repositoriesOf'
import { todayPage } from '../../../services/today'

export default defineEventHandler((event) => todayPage(repositoriesOf(event), organizationOf(event)))
