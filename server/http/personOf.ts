import { randomUUID } from 'node:crypto'
import type { H3Event } from 'h3'
import type { EventPerson } from '#core/run/runEvent'
import type { Person } from '#shared/schemas/people'
import { currentDatabase } from '../database/current'
import { peopleRepository } from '../repositories/people'
import { failure } from './failure'
import { keepSession } from './session'

/** Who is signed in. Fails with `sign-in` where nobody is. */
export function selfOf(event: H3Event): Person {
  const { person } = event.context
  if (!person) throw failure('sign-in', 'Sign in first.')
  return person
}

/** The name that stands on what is sent, as an option: none where nobody is asked to sign in. */
export function personOf(event: H3Event): { readonly person?: EventPerson } {
  const { person, role, organization } = event.context
  if (!person || !role || organization?.peopled !== true) return {}
  const { id, name, licence, licenceEnds } = person
  return { person: { id, name, licence, licenceEnds, role } }
}

const LONGEST_DEVICE = 200

/** A new session on this device; the one before it ends. */
export async function beginSession(event: H3Event, personId: string): Promise<void> {
  const people = peopleRepository(currentDatabase().database)
  if (event.context.sessionId) await people.endSession(event.context.sessionId)
  const id = randomUUID()
  const device = (event.node.req.headers['user-agent'] ?? '').slice(0, LONGEST_DEVICE)
  await people.beginSession({ id, personId, device })
  await keepSession(event, id)
}
