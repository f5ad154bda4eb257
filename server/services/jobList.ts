import * as v from 'valibot'
import { JOB_STATES } from '#core/job/chain'
import type { JobPage } from '#shared/schemas/job'
import { Uuid } from '#shared/schemas/texts'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { pageOf, readCursor } from './cursor'

const PAGE = 50

const JobQuerySchema = v.object({
  q: v.optional(v.pipe(v.string(), v.maxLength(200)), ''),
  state: v.optional(v.picklist(['', 'open', ...JOB_STATES]), ''),
  siteId: v.optional(v.union([v.literal(''), Uuid]), ''),
})

/** A page of jobs, latest day first; `state=open` is all that is still to be done. */
export async function jobPage(
  repositories: Repositories,
  query: Readonly<Record<string, unknown>>,
): Promise<JobPage> {
  const asked = v.safeParse(JobQuerySchema, query)
  if (!asked.success)
    throw failure(
      'invalid',
      asked.issues.map((issue) => ({ path: v.getDotPath(issue) ?? '', message: issue.message })),
    )
  const { q, state, siteId } = asked.output
  const states = state === 'open' ? (['draft', 'planned', 'running'] as const) : state === '' ? [] : [state]
  const rows = await repositories.jobs.page(
    { words: q, states, siteId },
    { limit: PAGE + 1, after: readCursor(query.after, 'day') },
  )
  return pageOf(rows, PAGE, ({ plannedFor }) => plannedFor)
}
