import { QueryTypes } from 'sequelize'
import type { Refusal, RefusalRow } from '#shared/schemas/refusal'
import type { Scope } from './scope'

export interface RefusalsRepository {
  readonly note: (refusal: Omit<Refusal, 'at'>) => Promise<void>
  /** The newest first. */
  readonly latest: (count: number) => Promise<readonly RefusalRow[]>
}

export function refusalsRepository({
  database: { sequelize },
  organizationId,
  options,
}: Scope): RefusalsRepository {
  return {
    note: async ({ applicationId, code, message }) => {
      await sequelize.query(
        `INSERT INTO refusals (organization_id, application_id, code, message, at)
         VALUES (:organizationId, :applicationId, :code, :message, now())`,
        { replacements: { organizationId, applicationId, code, message }, ...options },
      )
    },
    latest: (count) =>
      sequelize.query<RefusalRow>(
        `SELECT r.application_id AS "applicationId", r.code, r.message,
           to_char(r.at AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') AS at,
           j.id AS "jobId", coalesce(j.site, '') AS site
         FROM refusals r
         LEFT JOIN applications p ON p.organization_id = r.organization_id AND p.id = r.application_id
         LEFT JOIN jobs j ON j.organization_id = p.organization_id AND j.id = p.job_id AND
           j.deleted_at IS NULL
         WHERE r.organization_id = :organizationId ORDER BY r.at DESC LIMIT :count`,
        { type: QueryTypes.SELECT, replacements: { organizationId, count }, ...options },
      ),
  }
}
