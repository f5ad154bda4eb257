import { Op, QueryTypes } from 'sequelize'
import type { JobState } from '#core/job/chain'
import type { JobRow } from '#shared/schemas/job'
import { BY_DRIVE, jobRow, type JobFields } from './jobRow'
import { prefixSearch, type PageWanted, type Scope } from './scope'

interface JobFilter {
  readonly words: string
  readonly states: readonly JobState[]
  readonly siteId: string
}

/** Jobs as lines of a list; their documents stay where they are. */
export interface JobLists {
  /** Latest day first, undated ones before all. */
  readonly page: (filter: JobFilter, page: PageWanted) => Promise<readonly JobRow[]>
  readonly between: (from: string, to: string, states: readonly JobState[]) => Promise<readonly JobRow[]>
  /** Who had jobs given to them or carried them out, the latest first. */
  readonly names: () => Promise<readonly string[]>
}

/** Sorts before every day, so that undated jobs come first in a list that runs backwards. */
const UNDATED = 'infinity'
/** What comes after the place a page ended at. */
const BEYOND = `AND (coalesce(planned_for, '${UNDATED}'), id) < (CAST(:at AS date), CAST(:id AS uuid))`

interface RawJobRow {
  id: string
  site: string
  site_id: string | null
  purpose: string
  given_to: string
  planned_for: string | null
  state: JobState
  updated_at: Date
}

type Listed = JobFields & { readonly id: string; readonly updatedAt: string }

export function jobLists({ database, organizationId, options }: Scope): JobLists {
  const {
    models: { jobs },
    sequelize,
  } = database
  /** What each of them puts down, for its line in a list; the documents stay where they are. */
  async function withProducts(rows: readonly Listed[]): Promise<readonly JobRow[]> {
    if (rows.length === 0) return []
    const found = await sequelize.query<{ job_id: string; method: 'spread' | 'spray'; products: string }>(
      `SELECT job_id, document->>'method' AS method,
         coalesce((SELECT string_agg(product->>'name', ' + ' ORDER BY place)
           FROM jsonb_array_elements(document->'products') WITH ORDINALITY AS list (product, place)
           WHERE product->>'name' <> ''), '') AS products
       FROM applications WHERE organization_id = :organizationId AND job_id IN (:ids)
       ORDER BY job_id, position`,
      {
        type: QueryTypes.SELECT,
        replacements: { organizationId, ids: rows.map(({ id }) => id) },
        ...options,
      },
    )
    return rows.map((row) => {
      const own = found.filter(({ job_id }) => job_id === row.id)
      return {
        ...row,
        methods: own.map(({ method }) => method),
        products: own.map(({ products }) => products),
      }
    })
  }
  return {
    page: async ({ words, states, siteId }, { limit, after }) => {
      const search = prefixSearch(words)
      const rows = await sequelize.query<RawJobRow>(
        `SELECT id, site, site_id, purpose, given_to, planned_for::text, state, updated_at FROM jobs
         WHERE organization_id = :organizationId AND deleted_at IS NULL
         ${search ? `AND search @@ to_tsquery('simple', :search)` : ''}
           ${states.length > 0 ? 'AND state IN (:states)' : ''} ${siteId ? 'AND site_id = :siteId' : ''}
         ${after ? BEYOND : ''}
         ORDER BY coalesce(planned_for, '${UNDATED}') DESC, id DESC LIMIT :limit`,
        {
          type: QueryTypes.SELECT,
          replacements: {
            organizationId,
            limit,
            search: search ?? '',
            states,
            siteId,
            at: after?.at || UNDATED,
            id: after?.id ?? '',
          },
          ...options,
        },
      )
      return withProducts(
        rows.map(({ site_id, given_to, planned_for, updated_at, ...row }) => ({
          ...row,
          siteId: site_id,
          givenTo: given_to,
          plannedFor: planned_for ?? '',
          updatedAt: updated_at.toISOString(),
        })),
      )
    },
    between: async (from, to, states) => {
      const rows = await jobs.findAll({
        where: {
          organizationId,
          deletedAt: null,
          plannedFor: { [Op.between]: [from, to] },
          state: { [Op.in]: states },
        },
        order: [['plannedFor', 'ASC'], BY_DRIVE, ['id', 'ASC']],
        limit: 200,
        ...options,
      })
      return withProducts(rows.map(jobRow).map(({ version: _, ...row }) => row))
    },
    names: async () => {
      const rows = await sequelize.query<{ name: string }>(
        `SELECT name FROM (
           SELECT given_to AS name, max(updated_at) AS at FROM jobs
             WHERE organization_id = :organizationId AND given_to <> '' GROUP BY given_to
           UNION ALL
           SELECT done_by, max(finished_at) FROM records
             WHERE organization_id = :organizationId AND done_by <> '' GROUP BY done_by
         ) named GROUP BY name ORDER BY max(at) DESC LIMIT 40`,
        { type: QueryTypes.SELECT, replacements: { organizationId }, ...options },
      )
      return rows.map(({ name }) => name)
    },
  }
}
