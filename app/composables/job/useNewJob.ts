import { v7 as uuid } from 'uuid'
import type { Area } from '#shared/schemas/ground'
import type { JobDraft } from './useJobDraft'

// What a job begins as is fetched when one begins: lists that offer it do without.
const drafts = () => import('./jobDrafts')

/** Starts a job on this device; it reaches the server with its first figure. */
export function useNewJob() {
  const crew = useCrewStore()
  const person = useSelfStore()
  const notice = useNotice()
  const beginJob = async (draft: JobDraft) => {
    if (!person.may('work')) return notice.say('Owners and technicians of this crew make jobs.')
    const id = uuid()
    await keepDraft(draftKey(crew.organization?.id, id), draft)
    await navigateTo(`/jobs/${id}`)
  }

  const startJob = async () => beginJob((await drafts()).blankJob(crew.units, crew.today()))

  const startJobAt = async (id: string, name: string, areas: readonly Area[]) =>
    beginJob((await drafts()).jobAt({ id, name, areas }, crew.units, crew.today()))

  /** @param on never a day gone by */
  const repeatJob = async (draft: JobDraft, on = crew.today()) =>
    beginJob((await drafts()).jobAgain(draft, on < crew.today() ? crew.today() : on))

  return { startJob, startJobAt, repeatJob, beginJob }
}
