import type { Transaction } from 'sequelize'
import type { NewOrganization, Organization } from '#shared/schemas/organization'
import type { Database } from '../database/connection'
import type { OrganizationModel } from '../database/models'

/** Organizations stand above the others: they are found by id, never scoped. */
export interface OrganizationsRepository {
  readonly all: () => Promise<readonly Organization[]>
  readonly find: (id: string) => Promise<Organization | undefined>
  /** Makes a crew of one's own; a repeat of the same id changes nothing. */
  readonly create: (organization: NewOrganization, timeZone: string) => Promise<Organization>
  readonly createSample: (organization: Omit<Organization, 'kind'>, transaction: Transaction) => Promise<void>
}

export function organizationsRepository({ models }: Database): OrganizationsRepository {
  const { organizations } = models
  return {
    all: async () => (await organizations.findAll({ order: [['createdAt', 'ASC'], ['id', 'ASC']] })).map(plain),
    find: async (id) => {
      const row = await organizations.findByPk(id)
      return row ? plain(row) : undefined
    },
    create: async ({ id, name, units }, timeZone) => {
      const [row] = await organizations.findOrCreate({ where: { id }, defaults: { id, name, units, kind: 'own', licence: '', timeZone, clockShift: '0' } })
      return plain(row)
    },
    createSample: async ({ clockShift, ...organization }, transaction) => {
      await organizations.create({ ...organization, kind: 'sample', clockShift: String(clockShift) }, { transaction })
    },
  }
}

const plain = ({ id, name, kind, licence, units, timeZone, clockShift }: OrganizationModel): Organization =>
  ({ id, name, kind, licence, units, timeZone, clockShift: Number(clockShift) })
