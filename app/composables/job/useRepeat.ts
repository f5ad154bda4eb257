import { repeatedOn } from '#core/draft/drawnAfresh'

/** Plans an application again from the record it left. */
export function useRepeat() {
  const { repeatJob } = useNewJob()
  const notice = useNotice()
  /** @param due day it should be done on @param areaIds those it is due on */
  async function repeatFrom(applicationId: string, due: string, areaIds: readonly string[]) {
    try {
      const { jobId } = await ask(questions.run(applicationId))
      const job = await ask(questions.job(jobId))
      const draft = draftOf(job)
      const again = {
        ...draft,
        applications: draft.applications
          .filter(({ id }) => id === applicationId)
          .map((one) => ({ ...one, document: repeatedOn(one.document, areaIds) })),
      }
      await repeatJob(again, due)
    } catch (error) {
      notice.say('It can’t be planned again just now.', errorText(error))
    }
  }
  return { repeatFrom }
}
