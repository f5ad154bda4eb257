import type { Organization, SaveOrganization } from '#shared/schemas/organization'
import { noteHistory } from './history'
import { plainOrganization } from './organizations'
import type { Scope } from './scope'

/** What a crew settles once, on the row of the crew itself. */
export interface SettingsRepository {
  readonly find: () => Promise<Organization | undefined>
  /** False when that version is no longer there. */
  readonly update: (input: SaveOrganization) => Promise<boolean>
}

export function settingsRepository(scope: Scope): SettingsRepository {
  const {
    database: {
      models: { organizations },
    },
    organizationId: id,
    options,
  } = scope
  return {
    find: async () => {
      const row = await organizations.findOne({ where: { id }, ...options })
      return row ? plainOrganization(row) : undefined
    },
    update: async ({ version, ...fields }) => {
      const [count] = await organizations.update(
        { ...fields, version: version + 1 },
        { where: { id, version }, ...options },
      )
      if (count === 1) await noteHistory(scope, 'organizations', id, 'changed')
      return count === 1
    },
  }
}
