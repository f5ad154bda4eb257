import { Op } from 'sequelize'
import type { Role } from '#core/people/roles'
import type { Member, OpenInvitation } from '#shared/schemas/people'
import { noteHistory } from './history'
import type { Scope } from './scope'

/** The people of one crew, and those invited. */
export interface MembersRepository {
  readonly list: () => Promise<readonly Member[]>
  /** Takes a person in, or back, or gives them another role. */
  readonly put: (personId: string, role: Role) => Promise<void>
  /** The person belongs to the crew no more; their name stays on what they did. */
  readonly end: (personId: string) => Promise<boolean>
  readonly invitations: () => Promise<readonly OpenInvitation[]>
  readonly invite: (invitation: OpenInvitation & { readonly codeHash: string }) => Promise<void>
  readonly withdraw: (invitationId: string) => Promise<void>
  readonly takeUp: (invitationId: string) => Promise<void>
}

export function membersRepository(scope: Scope): MembersRepository {
  const {
    database: {
      models: { memberships, people, invitations, organizations },
    },
    organizationId,
    options,
  } = scope
  const lock = options.transaction ? { lock: options.transaction.LOCK.UPDATE } : {}
  return {
    list: async () => {
      const rows = await memberships.findAll({
        where: { organizationId, endedAt: null },
        order: [
          ['createdAt', 'ASC'],
          ['personId', 'ASC'],
        ],
        ...lock,
        ...options,
      })
      const found = await people.findAll({ where: { id: rows.map(({ personId }) => personId) }, ...options })
      return rows.flatMap(({ personId, role }) => {
        const person = found.find(({ id }) => id === personId)
        if (!person) return []
        const { name, licence, licenceEnds } = person
        return [{ id: personId, name, licence, licenceEnds: licenceEnds ?? '', role }]
      })
    },
    put: async (personId, role) => {
      await memberships.upsert({ organizationId, personId, role, endedAt: null }, options)
      await organizations.update({ peopled: true }, { where: { id: organizationId }, ...options })
      await noteHistory(scope, 'memberships', personId, `as ${role}`)
    },
    end: async (personId) => {
      const [count] = await memberships.update(
        { endedAt: new Date() },
        { where: { organizationId, personId, endedAt: null }, ...options },
      )
      if (count === 1) await noteHistory(scope, 'memberships', personId, 'taken out')
      return count === 1
    },
    invitations: async () => {
      const rows = await invitations.findAll({
        where: { organizationId, usedAt: null, endsAt: { [Op.gt]: new Date() } },
        order: [['endsAt', 'ASC']],
        ...options,
      })
      return rows.map(({ id, role, madeBy, endsAt }) => ({ id, role, madeBy, endsAt: endsAt.toISOString() }))
    },
    invite: async ({ endsAt, ...invitation }) => {
      await invitations.create({ organizationId, ...invitation, endsAt: new Date(endsAt) }, options)
    },
    withdraw: async (id) => {
      await invitations.update(
        { endsAt: new Date() },
        { where: { organizationId, id, usedAt: null }, ...options },
      )
    },
    takeUp: async (id) => {
      await invitations.update({ usedAt: new Date() }, { where: { organizationId, id }, ...options })
    },
  }
}
