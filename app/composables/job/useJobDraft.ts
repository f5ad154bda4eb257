import type { Job, SaveJob } from '#shared/schemas/job'

/** A job as it is being edited: what would be saved, and the version it was read at. */
export type JobDraft = SaveJob

/** What of a stored job is edited and saved again. */
export const draftOf = ({
  version,
  site,
  siteId,
  purpose,
  givenTo,
  plannedFor,
  state,
  applications,
}: Job): JobDraft => ({
  version,
  site,
  siteId,
  purpose,
  givenTo,
  plannedFor,
  state: state === 'running' || state === 'done' ? 'planned' : state,
  applications: applications.map(({ id, document }) => ({ id, document })),
})

/** One job, kept on this device and on the server; what has been started is frozen. */
export const useJobDraft = (id: string) =>
  useDraft<Job, JobDraft>({
    id,
    url: crewUrl(`/jobs/${id}`),
    what: 'job',
    draftOf,
    isOpen: ({ state }) => state !== 'running' && state !== 'done',
    upgrade,
  })

/** Version 0.1 kept one application to a job, and no site. */
function upgrade(kept: JobDraft & { readonly application?: JobDraft['applications'][number] }): JobDraft {
  const { application, ...rest } = kept
  return application ? { ...rest, siteId: null, applications: [application] } : rest
}
