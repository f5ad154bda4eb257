import { QueryTypes } from 'sequelize'
import type { Found } from '#shared/schemas/today'
import { prefixSearch, type Scope } from './scope'

export interface FinderRepository {
  /** The first few of each room whose words begin with what was typed. */
  readonly find: (words: string, each: number) => Promise<readonly Found[]>
  readonly counts: () => Promise<{
    readonly sites: number
    readonly equipment: number
    readonly products: number
  }>
}

const LIVE = `organization_id = :organizationId AND search @@ to_tsquery('simple', :search)`

export function finderRepository({
  database: { sequelize },
  organizationId,
  options,
}: Scope): FinderRepository {
  return {
    find: async (words, each) => {
      const search = prefixSearch(words)
      if (!search) return []
      return sequelize.query<Found>(
        `(SELECT 'site' AS kind, '/sites/' || id AS "to", name AS label, place AS more, '' AS day
          FROM sites WHERE ${LIVE} AND deleted_at IS NULL ORDER BY lower(name) LIMIT :each)
         UNION ALL (SELECT 'area', '/sites/' || a.site_id || '/areas/' || a.id, a.name, s.name,
           '' FROM areas a JOIN sites s ON s.organization_id = a.organization_id AND s.id = a.site_id
           WHERE a.organization_id = :organizationId AND a.search @@ to_tsquery('simple',
             :search) AND a.deleted_at IS NULL AND s.deleted_at IS NULL ORDER BY lower(a.name) LIMIT :each)
         UNION ALL (SELECT 'equipment', '/equipment/' || id, name, kind, '' FROM equipment WHERE
           ${LIVE} AND deleted_at IS NULL ORDER BY lower(name) LIMIT :each)
         UNION ALL (SELECT 'product', '/products/' || id, name, kind, '' FROM products WHERE
           ${LIVE} AND deleted_at IS NULL ORDER BY lower(name) LIMIT :each)
         UNION ALL (SELECT 'job', '/jobs/' || id, site, purpose, coalesce(planned_for::text, '')
           FROM jobs WHERE ${LIVE} AND deleted_at IS NULL ORDER BY planned_for DESC NULLS FIRST LIMIT :each)
         UNION ALL (SELECT 'record', '/records/' || id, site, products,
           (finished_at AT TIME ZONE (SELECT time_zone FROM organizations
             WHERE id = :organizationId))::date::text
           FROM records WHERE ${LIVE} ORDER BY finished_at DESC LIMIT :each)`,
        { type: QueryTypes.SELECT, replacements: { organizationId, search, each }, ...options },
      )
    },
    counts: async () => {
      const [row] = await sequelize.query<{ sites: string; equipment: string; products: string }>(
        `SELECT (SELECT count(*) FROM sites WHERE organization_id = :organizationId AND deleted_at
          IS NULL) AS sites,
           (SELECT count(*) FROM equipment WHERE organization_id = :organizationId AND
             deleted_at IS NULL) AS equipment,
           (SELECT count(*) FROM products WHERE organization_id = :organizationId AND
             deleted_at IS NULL) AS products`,
        { type: QueryTypes.SELECT, replacements: { organizationId }, ...options },
      )
      return {
        sites: Number(row?.sites ?? 0),
        equipment: Number(row?.equipment ?? 0),
        products: Number(row?.products ?? 0),
      }
    },
  }
}
