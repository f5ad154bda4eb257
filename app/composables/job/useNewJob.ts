import { v7 as uuid } from 'uuid'
import { drawnAfresh } from '#core/draft/drawnAfresh'
import { blankApplication } from '#core/draft/blankApplication'
import type { Area } from '#shared/schemas/ground'
import type { JobDraft } from './useJobDraft'

/** Starts a job on this device; it reaches the server with its first figure. */
export function useNewJob() {
  const crew = useCrewStore()
  const { withAreas } = useFromLibrary()
  const person = useSelfStore()
  const notice = useNotice()
  const begin = async (draft: JobDraft) => {
    if (!person.may('work')) return notice.say('Owners and technicians of this crew make jobs.')
    const id = uuid()
    await keepDraft(draftKey(crew.organization?.id, id), draft)
    await navigateTo(`/jobs/${id}`)
  }
  const newApplication = () => ({
    id: uuid(),
    document: blankApplication(
      { lawn: uuid(), part: uuid(), product: uuid(), run: uuid() },
      'spray',
      crew.units,
    ),
  })

  const startJob = () =>
    begin({
      version: 0,
      site: '',
      siteId: null,
      purpose: '',
      plannedFor: crew.today(),
      state: 'draft',
      applications: [newApplication()],
    })

  /** A job on a saved site, its areas ticked. */
  const startJobAt = (siteId: string, site: string, areas: readonly Area[]) => {
    const application = newApplication()
    return begin({
      version: 0,
      site,
      siteId,
      purpose: '',
      plannedFor: crew.today(),
      state: 'draft',
      applications: [{ ...application, document: withAreas(application.document, areas) }],
    })
  }

  /** The same lawns, labels and machine again, for the same purpose, on another day: never one gone by. */
  const repeatJob = (draft: JobDraft, on = crew.today()) =>
    begin({
      ...draft,
      version: 0,
      state: 'draft',
      plannedFor: on < crew.today() ? crew.today() : on,
      applications: draft.applications.map(({ document }) => ({
        id: uuid(),
        document: drawnAfresh(document),
      })),
    })
  return { startJob, startJobAt, repeatJob, newApplication, beginJob: begin }
}
