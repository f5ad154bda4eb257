import type { Job, SaveJob } from '#shared/schemas/job'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { plannedSheet } from '#core/jobsheet/plannedSheet'

/**
 * Saves a job as it was entered; the server computes its plan again and stores both.
 * A stale version fails with `changed-elsewhere` and the row that is there; a repeat of what is stored succeeds.
 * @param today the organization's calendar day
 */
export async function saveJob(repositories: Repositories, id: string, input: SaveJob, today: string): Promise<Job> {
  const { version, application, ...fields } = input
  const sheet = plannedSheet(application.document, today)
  if (input.state === 'planned' && !sheet) throw failure('not-ready', 'Something on the sheet is still missing or wrong: a job is planned when its amounts can be worked out.')
  return repositories.transaction(async (inside) => {
    const stored = await inside.jobs.find(id, 'lock')
    if (stored && sameContent(stored, input)) return stored
    if (stored?.state === 'running' || stored?.state === 'done') throw failure('locked', 'This job has been started: its plan is frozen.', stored)
    if ((stored?.version ?? 0) !== version) throw failure('changed-elsewhere', 'This job was changed elsewhere since you opened it.', stored)
    if (stored && stored.application.id !== application.id) throw failure('invalid', [{ path: 'application.id', message: 'is not this job’s application' }])
    if (stored) await inside.jobs.update(id, version, fields, { ...application, sheet })
    else await inside.jobs.insert(id, fields, { ...application, sheet })
    const saved = await inside.jobs.find(id)
    if (!saved) throw new Error(`job ${id} vanished while it was saved`)
    return saved
  })
}

function sameContent({ site, purpose, plannedFor, state, application }: Job, input: SaveJob): boolean {
  return JSON.stringify(ordered([site, purpose, plannedFor, state, application]))
    === JSON.stringify(ordered([input.site, input.purpose, input.plannedFor, input.state, input.application]))
}

/** JSONB does not keep the order of keys, so both sides are put in one. */
function ordered(node: unknown): unknown {
  if (Array.isArray(node)) return node.map(ordered)
  if (typeof node !== 'object' || node === null) return node
  return Object.fromEntries(Object.entries(node).filter(([, value]) => value !== undefined).toSorted(([a], [b]) => (a < b ? -1 : 1)).map(([name, value]) => [name, ordered(value)]))
}
