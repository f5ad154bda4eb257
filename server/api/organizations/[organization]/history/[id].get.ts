import type { HistoryLine } from '#shared/schemas/people'
import { readId } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'

/** What happened to one thing, the newest first. */
export default defineEventHandler((event): Promise<readonly HistoryLine[]> =>
  repositoriesOf(event).history.of(readId(event)),
)
