import { QueryTypes } from 'sequelize'
import type { Database } from '../database/connection'
import type { Scope } from './scope'

/** An address a calendar is read at: of the whole crew, of one person, or of one site for its client. */
export interface Calendar {
  readonly id: string
  readonly name: string
  readonly personId: string | null
  readonly siteId: string | null
  readonly createdAt: string
}

export interface CalendarsRepository {
  /** Those in force. */
  readonly list: () => Promise<readonly Calendar[]>
  /** @param tokenHash of its secret part; the secret itself is kept nowhere */
  readonly add: (calendar: Omit<Calendar, 'createdAt'>, tokenHash: string) => Promise<void>
  /** False where there is none in force. */
  readonly revoke: (id: string) => Promise<boolean>
}

const COLUMNS = 'id, name, person_id AS "personId", site_id AS "siteId", created_at AS "createdAt"'

export const calendarsRepository = ({
  database: { sequelize },
  organizationId,
  options,
}: Scope): CalendarsRepository => ({
  list: () =>
    sequelize.query<Calendar>(
      `SELECT ${COLUMNS} FROM calendars WHERE organization_id = :organizationId AND revoked_at IS NULL
       ORDER BY created_at, id`,
      { type: QueryTypes.SELECT, replacements: { organizationId }, ...options },
    ),
  add: async (calendar, tokenHash) => {
    await sequelize.query(
      `INSERT INTO calendars (organization_id, id, name, person_id, site_id, token_hash)
       VALUES (:organizationId, :id, :name, :personId, :siteId, :tokenHash)
       ON CONFLICT (organization_id, id) DO UPDATE SET token_hash = excluded.token_hash
       WHERE calendars.revoked_at IS NULL`,
      { replacements: { organizationId, ...calendar, tokenHash }, ...options },
    )
  },
  revoke: async (id) => {
    const rows = await sequelize.query<{ id: string }>(
      `UPDATE calendars SET revoked_at = now()
       WHERE organization_id = :organizationId AND id = :id AND revoked_at IS NULL RETURNING id`,
      { type: QueryTypes.SELECT, replacements: { organizationId, id }, ...options },
    )
    return rows.length === 1
  },
})

/** Whose calendar an address is, by the hash of its secret; undefined once it was revoked. */
export async function calendarByToken(
  { sequelize }: Database,
  tokenHash: string,
): Promise<(Calendar & { readonly organizationId: string }) | undefined> {
  const [found] = await sequelize.query<Calendar & { organizationId: string }>(
    `SELECT organization_id AS "organizationId", ${COLUMNS} FROM calendars
     WHERE token_hash = :tokenHash AND revoked_at IS NULL`,
    { type: QueryTypes.SELECT, replacements: { tokenHash } },
  )
  return found
}
