import type { JobState } from '#core/job/chain'
import type { JobPage } from '#shared/schemas/job'
import type { Repositories } from '../repositories/forOrganization'
import { pageOf, readCursor } from './cursor'

const PAGE = 50

/** What a list of jobs is asked for; `open` is all that is still to be done. */
interface JobQuery {
  readonly q: string
  readonly state: '' | 'open' | JobState
  readonly siteId: string
  readonly after?: string | undefined
}

/** A page of jobs, latest day first. */
export async function jobPage(
  repositories: Repositories,
  { q, state, siteId, after }: JobQuery,
): Promise<JobPage> {
  const states = state === 'open' ? (['draft', 'planned', 'running'] as const) : state === '' ? [] : [state]
  const rows = await repositories.jobs.page(
    { words: q, states, siteId },
    { limit: PAGE + 1, after: readCursor(after, 'day') },
  )
  return pageOf(rows, PAGE, ({ plannedFor }) => plannedFor)
}
