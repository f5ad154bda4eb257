import { repositoriesOf } from '../../../http/repositoriesOf'

const EACH = 6

export default defineEventHandler((event) =>
  repositoriesOf(event).finder.find(String(getQuery(event).q ?? '').slice(0, 200), EACH),
)
