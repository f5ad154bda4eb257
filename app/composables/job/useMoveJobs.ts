import type { JobRow } from '#shared/schemas/job'

/** A job that could not be moved, and why. */
interface NotMoved {
  readonly site: string
  readonly why: string
}
type Wanted = Pick<JobRow, 'id' | 'site'> & { readonly day: string }

/** Plans several jobs for another day at once; each is saved as if it had been opened and changed. */
export function useMoveJobs(after: () => unknown) {
  const notice = useNotice()
  const busy = ref(false)

  async function moveEach(jobs: readonly Wanted[]): Promise<readonly NotMoved[]> {
    const failed: NotMoved[] = []
    for (const { id, site, day } of jobs) {
      const why = await moveOne(id, day).catch(errorText)
      if (why !== undefined) failed.push({ site: site || 'Unnamed site', why })
    }
    return failed
  }
  async function move(jobs: readonly JobRow[], day: string, said: string) {
    busy.value = true
    const failed = await moveEach(jobs.map((job) => ({ ...job, day })))
    busy.value = false
    await after()
    const count = jobs.length - failed.length
    const back = jobs.map(({ id, site, plannedFor }) => ({ id, site, day: plannedFor }))
    notice.say(
      count === 0 ? 'No job was moved.' : `${count === 1 ? 'One job' : `${count} jobs`} moved to ${said}.`,
      failed.map(({ site, why }) => `${site}: ${why}`).join(' '),
      count === 0
        ? undefined
        : {
            label: 'Undo',
            act: async () => {
              await moveEach(back)
              await after()
            },
          },
    )
  }
  return { busy, move }
}

/** @returns why it stays where it is */
async function moveOne(id: string, plannedFor: string): Promise<string | undefined> {
  const job = await ask(questions.job(id))

  await tell('PUT', `/jobs/${id}`, { ...draftOf(job), plannedFor })
  return undefined
}
