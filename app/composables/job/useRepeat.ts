import { secondOf } from '#core/draft/applicationChoices'
import type { Job } from '#shared/schemas/job'
import type { Run } from '#shared/schemas/run'

/** Plans an application again from the record it left. */
export function useRepeat() {
  const { repeatJob } = useNewJob()
  const notice = useNotice()
  /** @param due day it should be done on */
  async function repeatFrom(applicationId: string, due: string) {
    try {
      const { jobId } = await $fetch<Run>(crewUrl(`/applications/${applicationId}/events`))
      const job = await $fetch<Job>(crewUrl(`/jobs/${jobId}`))
      const draft = draftOf(job)
      const again = {
        ...draft,
        applications: draft.applications
          .filter(({ id }) => id === applicationId)
          .map((one) => ({
            ...one,
            document: {
              ...one.document,
              products: one.document.products.map((product) => ({
                ...product,
                split: secondOf(product.split),
              })),
            },
          })),
      }
      await repeatJob(again, due)
    } catch (error) {
      notice.say('It can’t be planned again just now.', errorText(error))
    }
  }
  return { repeatFrom }
}
