import { createHash, randomBytes, randomUUID, timingSafeEqual } from 'node:crypto'
import { passphraseProblem } from '#core/people/passphrase'
import { signInWait } from '#core/people/signInWait'
import type { Role } from '#core/people/roles'
import type { FirstOwner, Join, MadeInvitation, Person } from '#shared/schemas/people'
import type { Database } from '../database/connection'
import { failure } from '../http/failure'
import { forOrganization, type Repositories } from '../repositories/forOrganization'
import { organizationsRepository } from '../repositories/organizations'
import { peopleRepository, type Credentials } from '../repositories/people'

/** How passphrases are hashed and compared; scrypt, by a kept library. */
export interface Hashing {
  readonly hash: (passphrase: string) => Promise<string>
  readonly matches: (hash: string, passphrase: string) => Promise<boolean>
}

const WRONG = 'This name and passphrase don’t belong together.'
/** Compared with when there is no such name, so that both answers take as long. */
let nobodysHash: Promise<string> | undefined

/**
 * Finds the person who signs in. Fails with `sign-in`, alike whether the name or the passphrase is wrong, and
 * with `wait` after failures in a row.
 */
export async function signIn(
  database: Database,
  hashing: Hashing,
  { signIn: name, passphrase }: { readonly signIn: string; readonly passphrase: string },
): Promise<Person> {
  const people = peopleRepository(database)
  const found = await people.credentials({ signIn: name })
  if (!found) {
    nobodysHash ??= hashing.hash(randomUUID())
    await hashing.matches(await nobodysHash, passphrase)
    throw failure('sign-in', WRONG)
  }
  await refuseWrong(database, hashing, found, passphrase)
  return found.person
}

/** Counts a wrong passphrase before it is compared, so that tries at once can't slip past the counter. */
async function refuseWrong(
  database: Database,
  hashing: Hashing,
  { person, hash, failures, waitUntil }: Credentials,
  passphrase: string,
): Promise<void> {
  const people = peopleRepository(database)
  const now = Date.now()
  if (waitUntil && waitUntil.getTime() > now)
    throw failure('wait', `Too many tries: the next one is possible ${inWords(waitUntil.getTime() - now)}.`)
  const wait = signInWait(failures + 1)
  await people.setFailures(person.id, failures + 1, wait > 0 ? new Date(now + 1000 * wait) : null)
  if (!(await hashing.matches(hash, passphrase))) throw failure('sign-in', WRONG)
  await people.setFailures(person.id, 0, null)
}

const inWords = (ms: number): string => {
  const seconds = Math.ceil(ms / 1000)
  return seconds < 90 ? `in ${seconds} s` : `in ${Math.ceil(seconds / 60)} minutes`
}

/** Makes the first owner of a crew that has no people yet, by the code printed where the server started. */
export async function makeFirstOwner(database: Database, hashing: Hashing, input: FirstOwner): Promise<void> {
  const { organizationId, code, ...person } = input
  const printed = process.env.HECTARUM_OWNER_CODE ?? ''
  if (printed === '' || !sameCode(code, printed))
    throw failure('not-allowed', 'This is not the code that was printed where Hectarum was started.')
  const crew = await organizationsRepository(database).find(organizationId)
  if (!crew) throw failure('not-found', 'There is no such crew: it may have been opened afresh.')
  if (crew.kind === 'sample')
    throw failure('invalid', 'The sample stays open to everybody at this machine: begin a crew of your own.')
  await refuseWeak(person, [crew.name])
  const hash = await hashing.hash(person.passphrase)
  await database.sequelize.transaction(async (transaction) => {
    const { members } = forOrganization(database, organizationId, transaction, person)
    if ((await members.list()).length > 0)
      throw failure('not-allowed', 'This crew has an owner already: ask for an invitation.')
    await makePerson(database, person, hash, transaction)
    await members.put(person.id, 'owner')
  })
}

type NewPerson = Omit<FirstOwner, 'organizationId' | 'code'>
type Transaction = Parameters<typeof forOrganization>[2]

async function refuseWeak({ passphrase, signIn: name, name: full }: NewPerson, others: readonly string[]) {
  const problem = passphraseProblem(passphrase, [name, ...full.split(/\s+/), ...others])
  if (problem) throw failure('invalid', [{ path: 'passphrase', message: problem }])
}

async function makePerson(database: Database, person: NewPerson, hash: string, transaction: Transaction) {
  const people = peopleRepository(database, transaction)
  if (await people.credentials({ signIn: person.signIn }))
    throw failure('taken', [
      { path: 'signIn', message: 'Somebody signs in by this name already: take another.' },
    ])
  const { id, name, signIn: signInName } = person
  await people.make({ id, name, signIn: signInName, hash })
}

/** Invitations wait so long to be taken up. */
const INVITATION_DAYS = 7
/** Without letters and digits that are mistaken for each other when read out. */
const CODE_LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789'
const CODE_LENGTH = 16

/** An invitation to a crew; its code is told once and kept only as a hash. */
export async function invite(
  repositories: Repositories,
  { id, role }: { readonly id: string; readonly role: Role },
  madeBy: string,
): Promise<MadeInvitation> {
  const code = [...randomBytes(CODE_LENGTH)]
    .map((byte) => CODE_LETTERS[byte % CODE_LETTERS.length])
    .join('')
    .replaceAll(/(.{4})(?=.)/g, '$1-')
  const endsAt = new Date(Date.now() + INVITATION_DAYS * 24 * 3600 * 1000).toISOString()
  const invitation = { id, role, madeBy, endsAt }
  await repositories.members.invite({ ...invitation, codeHash: hashOf(code) })
  return { ...invitation, code }
}

/** Takes up an invitation, as somebody new or as who is signed in. @returns the person who joined */
export async function join(
  database: Database,
  hashing: Hashing,
  { code, person }: Join,
  self: Person | undefined,
): Promise<{ readonly personId: string; readonly organizationId: string }> {
  const codeHash = hashOf(code)
  if (!person && !self) throw failure('sign-in', 'Sign in first, or say who you are.')
  if (!(await peopleRepository(database).invitation(codeHash))) throw noInvitation()
  if (person) await refuseWeak(person, [])
  const hash = person && (await hashing.hash(person.passphrase))
  return database.sequelize.transaction(async (transaction) => {
    const found = await peopleRepository(database, transaction).invitation(codeHash)
    if (!found) throw noInvitation()
    const { organizationId, id, role } = found
    if (person && hash) await makePerson(database, person, hash, transaction)
    const personId = person?.id ?? self!.id
    // Taking up a lesser invitation by mistake would cost an owner the crew.
    if (await peopleRepository(database, transaction).roleIn(organizationId, personId))
      throw failure('taken', 'You belong to this crew already: an owner changes what you may do.')
    const actor = { id: personId, name: person?.name ?? self!.name }
    const { members } = forOrganization(database, organizationId, transaction, actor)
    await members.put(personId, role)
    await members.takeUp(id)
    return { personId, organizationId }
  })
}

const noInvitation = () =>
  failure('not-found', 'There is no such invitation: it was taken up, withdrawn, or is older than a week.')

/** A new passphrase over the old one; other devices are signed out. */
export async function changePassphrase(
  database: Database,
  hashing: Hashing,
  { id, sessionId }: { readonly id: string; readonly sessionId: string | undefined },
  { now, next }: { readonly now: string; readonly next: string },
): Promise<void> {
  const people = peopleRepository(database)
  const found = await people.credentials({ id })
  if (!found) throw failure('sign-in', 'Sign in again.')
  const problem = passphraseProblem(next, found.person.name.split(/\s+/))
  if (problem) throw failure('invalid', [{ path: 'next', message: problem }])
  await refuseWrong(database, hashing, found, now)
  await people.setPassphrase(id, await hashing.hash(next))
  await people.endSessions(id, sessionId)
}

/** A crew keeps at least one owner. */
export async function changeMember(
  repositories: Repositories,
  personId: string,
  change: Role | 'leaves',
): Promise<void> {
  await repositories.transaction(async ({ members }) => {
    const list = await members.list()
    const member = list.find(({ id }) => id === personId)
    if (!member) throw failure('not-found', 'Nobody of this crew.')
    const others = list.filter(({ id, role }) => id !== personId && role === 'owner')
    if (member.role === 'owner' && change !== 'owner' && others.length === 0)
      throw failure('locked', 'A crew keeps at least one owner: make somebody else owner first.')
    if (change === 'leaves') await members.end(personId)
    else await members.put(personId, change)
  })
}

const bare = (code: string): string => code.toUpperCase().replaceAll(/[^A-Z0-9]/g, '')
const hashOf = (code: string): string => createHash('sha256').update(bare(code)).digest('hex')
const sameCode = (one: string, other: string): boolean =>
  timingSafeEqual(Buffer.from(hashOf(one)), Buffer.from(hashOf(other)))
