import { repositoriesOf } from '../../../../http/repositoriesOf'
import { jobPage } from '../../../../services/jobList'

export default defineEventHandler((event) => jobPage(repositoriesOf(event), getQuery(event)))
