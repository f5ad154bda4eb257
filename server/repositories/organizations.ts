import { Op, type Transaction } from 'sequelize'
import * as v from 'valibot'
import { SettingsSchema, type NewOrganization, type Organization } from '#shared/schemas/organization'
import type { Database } from '../database/connection'
import type { OrganizationModel } from '../database/models'

/**
 * Organizations stand above the others: they are found by id, never scoped. A retired sample is kept but no
 * longer offered.
 */
export interface OrganizationsRepository {
  /**
   * Crews that may be opened: those named, and of those without people all or the sample alone. Others are
   * not read: a thousand of them cost nobody anything.
   */
  readonly openTo: (own: readonly string[], others: 'all' | 'sample') => Promise<readonly Organization[]>
  readonly hasSample: () => Promise<boolean>
  readonly count: () => Promise<number>
  readonly find: (id: string) => Promise<Organization | undefined>
  /** Makes a crew of one's own; a repeat of the same id changes nothing. */
  readonly create: (organization: NewOrganization, timeZone: string) => Promise<Organization>
  readonly createSample: (
    organization: Omit<Organization, 'kind' | 'version' | 'peopled'>,
    transaction: Transaction,
  ) => Promise<void>
  /** Takes the sample off the list, so that a fresh one may be made. */
  readonly retireSample: (transaction: Transaction) => Promise<void>
}

export function organizationsRepository({ models }: Database): OrganizationsRepository {
  const { organizations } = models
  const live = { kind: { [Op.ne]: 'retired' } }
  return {
    openTo: async (own, others) =>
      (
        await organizations.findAll({
          where: {
            ...live,
            [Op.or]: [
              { peopled: true, id: { [Op.in]: [...own] } },
              { peopled: false, ...(others === 'sample' && { kind: 'sample' }) },
            ],
          },
          order: [
            ['createdAt', 'ASC'],
            ['id', 'ASC'],
          ],
        })
      ).map(plainOrganization),
    hasSample: async () => (await organizations.count({ where: { kind: 'sample' } })) > 0,
    count: () => organizations.count({ where: live }),
    find: async (id) => {
      const row = await organizations.findOne({ where: { id, ...live } })
      return row ? plainOrganization(row) : undefined
    },
    create: async ({ id, name, units }, timeZone) => {
      const [row] = await organizations.findOrCreate({
        where: { id },
        defaults: { id, name, units, kind: 'own', licence: '', timeZone, clockShift: '0' },
      })
      return plainOrganization(row)
    },
    createSample: async ({ clockShift, ...organization }, transaction) => {
      await organizations.create(
        { ...organization, kind: 'sample', clockShift: String(clockShift) },
        { transaction },
      )
    },
    retireSample: async (transaction) => {
      await organizations.update({ kind: 'retired' }, { where: { kind: 'sample' }, transaction })
    },
  }
}

/** A row as plain typed data; settings written before a part was thought of get its default. */
export const plainOrganization = ({
  id,
  version,
  name,
  kind,
  licence,
  units,
  timeZone,
  clockShift,
  settings,
  peopled,
}: OrganizationModel): Organization => ({
  id,
  version,
  name,
  kind,
  licence,
  units,
  timeZone,
  clockShift: Number(clockShift),
  settings: v.parse(SettingsSchema, settings ?? {}),
  peopled: peopled ?? false,
})
