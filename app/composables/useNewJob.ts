import { v7 as uuid } from 'uuid'
import { blankDocument } from '#core/jobsheet/blankDocument'
import type { JobDraft } from './useJobDraft'

/** Starts a job on this device; it reaches the server with its first figure. */
export function useNewJob() {
  const crew = useCrewStore()
  async function startJob() {
    const id = uuid()
    const draft: JobDraft = {
      version: 0, site: '', purpose: '', plannedFor: crew.today(), state: 'draft',
      application: { id: uuid(), document: blankDocument({ lawn: uuid(), part: uuid(), product: uuid(), run: uuid() }, 'spray', crew.units) },
    }
    await keepDraft(draftKey(crew.organization?.id, id), draft)
    await navigateTo(`/jobs/${id}`)
  }

  /** The same lawns, label and calibration again, on another day. */
  async function repeatJob(draft: JobDraft) {
    const id = uuid()
    await keepDraft(draftKey(crew.organization?.id, id), {
      ...draft, version: 0, state: 'draft', plannedFor: crew.today(), application: { id: uuid(), document: draft.application.document },
    })
    await navigateTo(`/jobs/${id}`)
  }
  return { startJob, repeatJob }
}
