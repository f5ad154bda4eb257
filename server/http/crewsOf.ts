import type { H3Event } from 'h3'
import type { Organization } from '#shared/schemas/organization'
import { currentDatabase } from '../database/current'
import { organizationsRepository } from '../repositories/organizations'
import { peopleRepository } from '../repositories/people'
import { isAtHome } from './access'

/** The crews whoever asks may open: their own, the sample, and at this machine those without people. */
export async function crewsOf(event: H3Event): Promise<readonly Organization[]> {
  const { database } = currentDatabase()
  const { person } = event.context
  const home = isAtHome(event)
  if (!person && !home) return []
  const own = person ? await peopleRepository(database).crewsOf(person.id) : []
  return organizationsRepository(database).openTo(own, home ? 'all' : 'sample')
}
