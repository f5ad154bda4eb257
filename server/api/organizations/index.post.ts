import { NewOrganizationSchema, type Organization } from '#shared/schemas/organization'
import { currentDatabase } from '../../database/current'
import { isAtHome } from '../../http/access'
import { crewsOf } from '../../http/crewsOf'
import { failure } from '../../http/failure'
import { keepOrganization } from '../../http/organizationCookie'
import { readBodyAs } from '../../http/readBody'
import { forOrganization } from '../../repositories/forOrganization'
import { organizationsRepository } from '../../repositories/organizations'

/** Anybody who may come in can make one: so many, and no more. */
const MOST_CREWS = 5000

/** A crew of one's own; who is signed in becomes its owner. */
export default defineEventHandler(async (event): Promise<Organization> => {
  const { person } = event.context
  if (!person && !isAtHome(event)) throw failure('sign-in', 'Sign in first.')
  const input = await readBodyAs(event, NewOrganizationSchema)
  const { database } = currentDatabase()
  const organizations = organizationsRepository(database)
  const there = await organizations.find(input.id)
  if (there && !(await crewsOf(event)).some(({ id }) => id === there.id))
    throw failure('taken', 'Something else has this id already: take a new one.')
  if (!there && (await organizations.count()) >= MOST_CREWS)
    throw failure('locked', `This server keeps at most ${MOST_CREWS} crews.`)
  const made = await organizations.create(input, Intl.DateTimeFormat().resolvedOptions().timeZone)
  if (person && !there)
    await forOrganization(database, made.id, undefined, person).members.put(person.id, 'owner')
  keepOrganization(event, made.id)
  setResponseStatus(event, 201)
  return (await organizations.find(made.id)) ?? made
})
