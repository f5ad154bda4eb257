import { QueryTypes } from 'sequelize'
import { laidOnArea, shortestInterval, type LaidOnArea, type LaidRow } from '#core/season/laidOnArea'
import type { LaidDown } from '#core/run/laidDown'
import type { UseKey, UseLine } from '#core/run/use/useReport'
import type { LedgerRow } from '#shared/schemas/ground'
import type { LastLaid } from '#shared/schemas/today'
import type { Scope } from './scope'

/** One row to append: what was laid down, and whose label it was. */
interface LedgerEntry extends LaidDown {
  readonly id: string
  readonly applicationId: string
  readonly siteId: string | null
  readonly sourceId: string | null
  readonly product: string
  readonly active: string
  readonly groups: string
  readonly on: string
  readonly repeatDays: number | null
  readonly lastsDays: number | null
}

export interface LedgerRepository {
  readonly append: (entries: readonly LedgerEntry[]) => Promise<void>
  /** What stands in the ledger for one application, corrections summed. */
  readonly totalsOf: (applicationId: string) => Promise<readonly LaidDown[]>
  readonly ofSite: (siteId: string, from: string, to: string) => Promise<readonly LedgerRow[]>
  /** What was laid on one area, oldest first. */
  readonly ofArea: (areaId: string, from: string, to: string) => Promise<readonly LaidOnArea[]>
  /** The same on every area of the crew. */
  readonly onAreas: (
    from: string,
    to: string,
  ) => Promise<readonly (LaidOnArea & { readonly areaId: string })[]>
  /** What of each product went down under each heading of a report. */
  readonly use: (by: UseKey, from: string, to: string) => Promise<readonly UseLine[]>
  readonly lastRepeats: (from: string) => Promise<readonly LastLaid[]>
}

export function ledgerRepository({
  database: { models, sequelize },
  organizationId,
  options,
}: Scope): LedgerRepository {
  const select = <R extends object>(sql: string, replacements: object) =>
    sequelize.query<R>(sql, {
      type: QueryTypes.SELECT,
      replacements: { organizationId, ...replacements },
      ...options,
    })
  return {
    append: async (entries) => {
      await models.laidDown.bulkCreate(
        entries.map(({ on, nutrients, ...entry }) => ({
          organizationId,
          ...entry,
          onDay: on,
          nKg: nutrients.n ?? null,
          p2o5Kg: nutrients.p2o5 ?? null,
          k2oKg: nutrients.k2o ?? null,
          feKg: nutrients.fe ?? null,
        })),
        options,
      )
    },
    totalsOf: async (applicationId) => {
      const rows = await select<RawStanding>(
        `SELECT area_id, product_id, dimension, sum(amount) AS amount, sum(size_m2) AS size_m2,
          sum(n_kg) AS n, sum(p2o5_kg) AS p2o5, sum(k2o_kg) AS k2o, sum(fe_kg) AS fe
         FROM laid_down WHERE organization_id = :organizationId AND application_id =
           :applicationId GROUP BY area_id, product_id, dimension`,
        { applicationId },
      )
      return rows.map(({ area_id, product_id, dimension, amount, size_m2, n, p2o5, k2o, fe }) => ({
        areaId: area_id,
        productId: product_id,
        dimension,
        amount,
        sizeM2: size_m2,
        nutrients: {
          n: n ?? undefined,
          p2o5: p2o5 ?? undefined,
          k2o: k2o ?? undefined,
          fe: fe ?? undefined,
        },
      }))
    },
    ofSite: (siteId, from, to) =>
      select<LedgerRow>(
        `SELECT l.*, CASE WHEN p.deleted_at IS NOT NULL THEN jsonb_build_object('kind', p.document->'kind',
             'actives', p.document->'actives', 'density', p.document->'density') END AS label
         FROM (
           SELECT application_id AS "applicationId", area_id AS "areaId", product, source_id AS "sourceId",
             active, groups, on_day::text AS "on", dimension, sum(amount) AS amount,
             sum(size_m2) AS "sizeM2", sum(n_kg) AS n, sum(p2o5_kg) AS p2o5, sum(k2o_kg) AS k2o
           FROM laid_down WHERE organization_id = :organizationId AND site_id = :siteId
             AND on_day BETWEEN :from AND :to
           GROUP BY application_id, area_id, product_id, product, source_id, active, groups, on_day, dimension
           HAVING sum(amount) > 0
         ) l LEFT JOIN products p ON p.organization_id = :organizationId AND p.id = l."sourceId"
         ORDER BY l."on" DESC, l."applicationId", l.product`,
        { siteId, from, to },
      ),
    ofArea: async (areaId, from, to) => {
      const rows = await select<LaidRow>(laidOn('AND area_id = :areaId'), { areaId, from, to })
      return rows.map(laidOnArea)
    },
    onAreas: async (from, to) => {
      const rows = await select<LaidRow & { areaId: string }>(laidOn(''), { from, to })
      return rows.map((row) => ({ ...laidOnArea(row), areaId: row.areaId }))
    },
    use: (by, from, to) =>
      select<UseLine>(
        `SELECT ${USE_HEADINGS[by]} AS key, l.product, l.source_id AS "sourceId", l.active, l.groups AS
           "group", l.dimension, sum(l.amount) AS amount, sum(l.size_m2) AS "sizeM2",
           count(DISTINCT l.application_id)::integer AS applications, min(l.on_day)::text AS first,
           max(l.on_day)::text AS last, CASE WHEN bool_or(l.n_kg IS NULL) THEN NULL ELSE sum(l.n_kg) END AS n
         FROM laid_down l
         LEFT JOIN records r ON r.organization_id = l.organization_id AND r.id = l.application_id
         LEFT JOIN sites s ON s.organization_id = l.organization_id AND s.id = l.site_id
         LEFT JOIN areas a ON a.organization_id = l.organization_id AND a.id = l.area_id
         WHERE l.organization_id = :organizationId AND l.on_day BETWEEN :from AND :to
         GROUP BY 1, l.product, l.source_id, l.active, l.groups, l.dimension HAVING sum(l.amount) > 0`,
        { from, to },
      ),
    lastRepeats: async (from) => {
      const rows = await select<LastLaid & Pick<LaidRow, 'repeats'>>(
        `SELECT DISTINCT ON (l.area_id, l.product) l.application_id AS "applicationId", l.area_id
          AS "areaId", coalesce(a.name, '') AS area, l.site_id AS "siteId", coalesce(s.name, '') AS site,
         l.product, l.on_day::text AS "on", l.repeat_days AS "repeatDays",
         l.lasts_days AS "lastsDays", jsonb_path_query_array(pr.document, '$.lines[*].repeatFrom') AS repeats,
         coalesce((SELECT label->>'split' FROM applications p,
           jsonb_array_elements(p.document->'products') label
          WHERE p.organization_id = l.organization_id AND p.id = l.application_id AND
            label->>'name' = l.product LIMIT 1), '') AS split,
         (SELECT j.id FROM jobs j JOIN applications p ON p.organization_id = j.organization_id
           AND p.job_id = j.id
          WHERE j.organization_id = l.organization_id AND j.site_id = l.site_id AND j.deleted_at
            IS NULL AND j.state IN ('draft', 'planned', 'running')
            AND p.document->'products' @> jsonb_build_array(jsonb_build_object('name',
              l.product)) ORDER BY j.planned_for LIMIT 1) AS "jobId"
       FROM laid_down l LEFT JOIN areas a ON a.organization_id = l.organization_id AND a.id =
         l.area_id LEFT JOIN sites s ON s.organization_id = l.organization_id AND s.id = l.site_id
       LEFT JOIN products pr ON pr.organization_id = l.organization_id AND pr.id = l.source_id
       WHERE l.organization_id = :organizationId AND (l.repeat_days IS NOT NULL OR l.lasts_days IS NOT NULL)
         AND l.on_day >= :from
       ORDER BY l.area_id, l.product, l.on_day DESC`,
        { from },
      )
      return rows.map(({ repeats, ...row }) => ({ ...row, repeatFrom: shortestInterval(repeats) }))
    },
  }
}

/** What went down on areas, with what its label and its plan say of how long it lasts. */
const laidOn = (where: string) => `
   SELECT l.*, coalesce(p.document->>'kind', '') AS kind,
     (SELECT label->>'split' FROM jsonb_array_elements(a.document->'products') label
      WHERE label->>'name' = l.product LIMIT 1) AS split,
     a.document->>'method' AS method, p.document->>'form' AS form,
     p.document->'analysis'->'slowN' AS "slowN", p.document->'releases' AS releases,
     jsonb_path_query_array(p.document, '$.lines[*].repeatFrom') AS repeats
   FROM (
     SELECT area_id AS "areaId", application_id, on_day::text AS "on", product, active, source_id,
       max(lasts_days) AS "lastsDays", max(repeat_days) AS "repeatDays",
       CASE WHEN bool_or(n_kg IS NULL) THEN NULL ELSE sum(n_kg) / nullif(sum(size_m2), 0) END AS n,
       CASE WHEN bool_or(k2o_kg IS NULL) THEN NULL ELSE sum(k2o_kg) / nullif(sum(size_m2), 0) END AS k2o
     FROM laid_down WHERE organization_id = :organizationId AND on_day BETWEEN :from AND :to ${where}
     GROUP BY area_id, application_id, on_day, product, active, source_id HAVING sum(amount) > 0
   ) l
   LEFT JOIN products p ON p.organization_id = :organizationId AND p.id = l.source_id
   LEFT JOIN applications a ON a.organization_id = :organizationId AND a.id = l.application_id
   ORDER BY l."areaId", l."on", l.product`

/** What each report is told by: the names of today, where something still has one. */
const USE_HEADINGS: Readonly<Record<UseKey, string>> = {
  active: 'l.active',
  product: 'l.product',
  site: `coalesce(s.name, r.site, '')`,
  area: `concat_ws(', ', coalesce(s.name, nullif(r.site, '')), a.name)`,
  person: `coalesce(r.done_by, '')`,
}

interface RawStanding {
  area_id: string
  product_id: string
  dimension: LaidDown['dimension']
  amount: number
  size_m2: number
  n: number | null
  p2o5: number | null
  k2o: number | null
  fe: number | null
}
