import type { CrewPeople } from '#shared/schemas/people'
import { repositoriesOf } from '../../../../http/repositoriesOf'

export default defineEventHandler(async (event): Promise<CrewPeople> => {
  const { members } = repositoriesOf(event)
  return { members: await members.list(), invitations: await members.invitations() }
})
