import { Op, type Transaction } from 'sequelize'
import type { Role } from '#core/people/roles'
import type { Person, SavePerson } from '#shared/schemas/people'
import type { Database } from '../database/connection'
import type { PersonModel } from '../database/peopleModels'

/** What signing in looks at. */
export interface Credentials {
  readonly person: Person
  readonly hash: string
  readonly failures: number
  readonly waitUntil: Date | undefined
}

interface NewPersonRow {
  readonly id: string
  readonly name: string
  readonly signIn: string
  readonly hash: string
}

interface Session {
  readonly id: string
  readonly personId: string
  readonly seenAt: Date
}

/**
 * People and their sessions stand above the crews, as organizations do: a person may belong to several, so
 * they are found by id, never scoped.
 */
export interface PeopleRepository {
  readonly count: () => Promise<number>
  readonly find: (id: string) => Promise<Person | undefined>
  readonly credentials: (
    by: { readonly signIn: string } | { readonly id: string },
  ) => Promise<Credentials | undefined>
  readonly make: (person: NewPersonRow) => Promise<void>
  readonly update: (id: string, input: SavePerson) => Promise<boolean>
  readonly setPassphrase: (id: string, hash: string) => Promise<void>
  /** Failures in a row and until when the next try waits; none after a success. */
  readonly setFailures: (id: string, failures: number, waitUntil: Date | null) => Promise<void>
  readonly roleIn: (organizationId: string, personId: string) => Promise<Role | undefined>
  readonly crewsOf: (personId: string) => Promise<readonly string[]>
  readonly beginSession: (session: Omit<Session, 'seenAt'> & { readonly device: string }) => Promise<void>
  /** One that was not ended. */
  readonly session: (id: string) => Promise<Session | undefined>
  readonly sessionsOf: (personId: string) => Promise<number>
  readonly seen: (sessionId: string) => Promise<void>
  readonly endSession: (id: string) => Promise<void>
  readonly endSessions: (personId: string, except?: string) => Promise<void>
  /** The crew and role an invitation is for, while it holds and nobody took it up. */
  readonly invitation: (
    codeHash: string,
  ) => Promise<{ readonly organizationId: string; readonly id: string; readonly role: Role } | undefined>
}

export function peopleRepository({ models }: Database, transaction?: Transaction): PeopleRepository {
  const { people, memberships, sessions, invitations } = models
  const options = { transaction: transaction ?? null }
  return {
    count: () => people.count(options),
    find: async (id) => {
      const row = await people.findOne({ where: { id }, ...options })
      return row ? plain(row) : undefined
    },
    credentials: async (by) => {
      const row = await people.findOne({ where: by, ...options })
      return row
        ? {
            person: plain(row),
            hash: row.passphrase,
            failures: row.failures,
            waitUntil: row.waitUntil ?? undefined,
          }
        : undefined
    },
    make: async ({ hash, ...person }) => {
      await people.create({ ...person, passphrase: hash, licence: '' }, options)
    },
    update: async (id, { version, licenceEnds, ...fields }) => {
      const [count] = await people.update(
        { ...fields, licenceEnds: licenceEnds || null, version: version + 1 },
        { where: { id, version }, ...options },
      )
      return count === 1
    },
    setPassphrase: async (id, passphrase) => {
      await people.update({ passphrase }, { where: { id }, ...options })
    },
    setFailures: async (id, failures, waitUntil) => {
      await people.update({ failures, waitUntil }, { where: { id }, ...options })
    },
    roleIn: async (organizationId, personId) => {
      const row = await memberships.findOne({
        where: { organizationId, personId, endedAt: null },
        ...options,
      })
      return row?.role
    },
    crewsOf: async (personId) => {
      const rows = await memberships.findAll({ where: { personId, endedAt: null }, ...options })
      return rows.map(({ organizationId }) => organizationId)
    },
    beginSession: async (session) => {
      await sessions.create(session, options)
    },
    session: async (id) => {
      const row = await sessions.findOne({ where: { id, endedAt: null }, ...options })
      return row ? { id: row.id, personId: row.personId, seenAt: row.seenAt } : undefined
    },
    sessionsOf: (personId) => sessions.count({ where: { personId, endedAt: null }, ...options }),
    seen: async (id) => {
      await sessions.update({ seenAt: new Date() }, { where: { id }, ...options })
    },
    endSession: async (id) => {
      await sessions.update({ endedAt: new Date() }, { where: { id, endedAt: null }, ...options })
    },
    endSessions: async (personId, except) => {
      await sessions.update(
        { endedAt: new Date() },
        { where: { personId, endedAt: null, ...(except && { id: { [Op.ne]: except } }) }, ...options },
      )
    },
    invitation: async (codeHash) => {
      const row = await invitations.findOne({
        where: { codeHash, usedAt: null, endsAt: { [Op.gt]: new Date() } },
        ...(transaction && { lock: transaction.LOCK.UPDATE }),
        ...options,
      })
      return row ? { organizationId: row.organizationId, id: row.id, role: row.role } : undefined
    },
  }
}

const plain = ({ id, version, name, licence, licenceEnds }: PersonModel): Person => ({
  id,
  version,
  name,
  licence,
  licenceEnds: licenceEnds ?? '',
})
