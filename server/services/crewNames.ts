import type { Repositories } from '../repositories/forOrganization'

/** Names a job can be given to: the people of the crew first, then whoever had jobs or carried them out. */
export async function crewNames({ members, jobs }: Repositories): Promise<readonly string[]> {
  const [people, others] = await Promise.all([members.list(), jobs.names()])
  return [...new Set([...people.map(({ name }) => name), ...others])]
}
