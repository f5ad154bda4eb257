import { repositoriesOf } from '../../http/repositoriesOf'

export default defineEventHandler((event) => repositoriesOf(event).jobs.list())
