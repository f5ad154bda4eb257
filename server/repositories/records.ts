import { Op, QueryTypes } from 'sequelize'
import type { HeldByMachine } from '#core/rules/reading'
import type { RunRecord } from '#core/run/foldRun'
import type { FrozenPlan } from '#core/run/runEvent'
import type { RecordQuery, RecordRow } from '#shared/schemas/run'
import type { ReentryRow } from '#shared/schemas/today'
import type { RecordModel } from '../database/models'
import { prefixSearch, type PageWanted, type Scope } from './scope'

export interface RecordFields extends Omit<RecordRow, 'deviations'> {
  readonly document: RunRecord
  readonly reentryUntil: string | null
  readonly equipmentId: string | null
}
/** Instants between which a record was finished; blank is open. */
export interface RecordFilter extends Omit<RecordQuery, 'from' | 'to' | 'ids'> {
  /** Only these; none named: all. */
  readonly ids: readonly string[]
  readonly since: string
  readonly before: string
}

export interface RecordsRepository {
  readonly page: (filter: RecordFilter, page: PageWanted) => Promise<readonly RecordRow[]>
  /** The newest records of what was carried out with a machine. */
  readonly ofEquipment: (
    equipmentId: string,
    limit: number,
  ) => Promise<readonly (RecordRow & { readonly document: RunRecord })[]>
  /** What each machine held last. */
  readonly held: () => Promise<readonly HeldByMachine[]>
  readonly find: (id: string) => Promise<(RecordRow & { readonly document: RunRecord }) | undefined>
  readonly documents: (ids: readonly string[]) => Promise<ReadonlyMap<string, RunRecord>>
  readonly put: (record: RecordFields) => Promise<void>
  /** Records finished since an instant, with what is written in them; the newest first. */
  readonly since: (instant: string) => Promise<readonly (RecordRow & { readonly document: RunRecord })[]>
  readonly reentryAfter: (instant: string) => Promise<readonly ReentryRow[]>
}

/** Each order with its column, its way, and how its place is told. */
const SORTS = {
  newest: { column: 'finished_at', way: 'DESC', beyond: '<', cast: 'timestamptz' },
  oldest: { column: 'finished_at', way: 'ASC', beyond: '>', cast: 'timestamptz' },
  site: { column: 'lower(site)', way: 'ASC', beyond: '>', cast: 'text' },
} as const

export const recordPlace = (row: RecordRow, sort: RecordQuery['sort']): string =>
  sort === 'site' ? row.site.toLowerCase() : row.finishedAt

export function recordsRepository({
  database: {
    models: { records },
    sequelize,
  },
  organizationId,
  options,
}: Scope): RecordsRepository {
  return {
    page: async ({ q, verdict, siteId, since, before, sort, ids }, { limit, after }) => {
      const { column, way, beyond, cast } = SORTS[sort]
      const search = prefixSearch(q)
      const rows = await sequelize.query<RawRecordRow>(
        `SELECT id, job_id, site, site_id, products, done_by, targets, finished_at, size_m2,
          verdict, known_to AS only, deviations FROM records
         WHERE organization_id = :organizationId
         ${search ? `AND search @@ to_tsquery('simple', :search)` : ''}
           ${verdict ? 'AND verdict = :verdict' : ''} ${siteId ? 'AND site_id = :siteId' : ''}
         ${since ? 'AND finished_at >= :since' : ''} ${before ? 'AND finished_at < :before' : ''}
         ${ids.length > 0 ? 'AND id IN (:ids)' : ''}
         ${after ? `AND (${column}, id) ${beyond} (CAST(:at AS ${cast}), CAST(:id AS uuid))` : ''}
         ORDER BY ${column} ${way}, id ${way} LIMIT :limit`,
        {
          type: QueryTypes.SELECT,
          replacements: {
            organizationId,
            limit,
            search: search ?? '',
            verdict,
            siteId,
            since,
            before,
            ids,
            at: after?.at ?? '',
            id: after?.id ?? '',
          },
          ...options,
        },
      )
      return rows.map(listed)
    },
    ofEquipment: async (equipmentId, limit) => {
      const rows = await records.findAll({
        where: { organizationId, equipmentId },
        order: [['finishedAt', 'DESC']],
        limit,
        ...options,
      })
      return rows.map((row) => ({ ...plain(row), document: row.document }))
    },
    held: async () => {
      const rows = await sequelize.query<RawHeld>(
        `SELECT e.id, last.on::text, last.at, last.labels, coalesce(e.document->>'cleaned', '') AS cleaned
         FROM equipment e CROSS JOIN LATERAL (
           SELECT (finished_at AT TIME ZONE o.time_zone)::date AS on, finished_at AS at,
             r.document->'frozen'->'labels' AS labels
           FROM records r JOIN organizations o ON o.id = r.organization_id
           WHERE r.organization_id = e.organization_id AND r.equipment_id = e.id
           ORDER BY r.finished_at DESC LIMIT 1) last
         WHERE e.organization_id = :organizationId AND e.deleted_at IS NULL`,
        { type: QueryTypes.SELECT, replacements: { organizationId }, ...options },
      )
      return rows.map(({ id, on, at, labels, cleaned }) => ({
        equipmentId: id,
        on,
        at: at.toISOString(),
        products: labels.map(({ name }) => name),
        sourceIds: labels.flatMap(({ sourceId }) => sourceId ?? []),
        cleaned,
      }))
    },
    find: async (id) => {
      const row = await records.findOne({ where: { organizationId, id }, ...options })
      return row ? { ...plain(row), document: row.document } : undefined
    },
    documents: async (ids) => {
      const rows = await records.findAll({
        attributes: ['id', 'document'],
        where: { organizationId, id: { [Op.in]: ids } },
        ...options,
      })
      return new Map(rows.map(({ id, document }) => [id, document]))
    },
    put: async ({ finishedAt, reentryUntil, by, target, ...record }) => {
      await records.upsert(
        {
          organizationId,
          ...record,
          doneBy: by,
          targets: target,
          finishedAt: new Date(finishedAt),
          reentryUntil: reentryUntil === null ? null : new Date(reentryUntil),
          updatedAt: new Date(),
        },
        options,
      )
    },
    since: async (instant) =>
      (
        await records.findAll({
          where: { organizationId, finishedAt: { [Op.gte]: new Date(instant) } },
          order: [['finishedAt', 'DESC']],
          limit: MOST_RECENT,
          ...options,
        })
      ).map((row) => ({ ...plain(row), document: row.document })),
    reentryAfter: async (instant) =>
      (
        await records.findAll({
          attributes: ['id', 'site', 'products', 'reentryUntil'],
          where: { organizationId, reentryUntil: { [Op.gt]: new Date(instant) } },
          order: [['reentryUntil', 'ASC']],
          limit: 50,
          ...options,
        })
      ).map(({ id, site, products, reentryUntil }) => ({
        applicationId: id,
        site,
        products,
        until: reentryUntil?.toISOString() ?? '',
      })),
  }
}

/** More is no morning's reading. */
const MOST_RECENT = 200

interface RawHeld {
  id: string
  on: string
  at: Date
  labels: FrozenPlan['labels']
  cleaned: string
}

interface RawRecordRow {
  only: 'day' | null
  deviations: number[]
  id: string
  job_id: string
  site: string
  site_id: string | null
  products: string
  done_by: string
  targets: string
  finished_at: Date
  size_m2: number
  verdict: RecordRow['verdict']
}

/** Said field by field: gathering what is left of a row costs more than reading it. */
const listed = (row: RawRecordRow): RecordRow => ({
  id: row.id,
  jobId: row.job_id,
  site: row.site,
  siteId: row.site_id,
  products: row.products,
  by: row.done_by,
  target: row.targets,
  finishedAt: row.finished_at.toISOString(),
  sizeM2: row.size_m2,
  verdict: row.verdict,
  deviations: row.deviations,
  ...(row.only && { only: row.only }),
})

const plain = ({
  id,
  jobId,
  site,
  siteId,
  products,
  doneBy,
  targets,
  finishedAt,
  sizeM2,
  verdict,
  document,
}: RecordModel): RecordRow => ({
  id,
  jobId,
  site,
  siteId,
  products,
  by: doneBy,
  target: targets,
  finishedAt: finishedAt.toISOString(),
  sizeM2,
  verdict,
  deviations: document.outcomes.flatMap(({ deviation }) => deviation ?? []),
})
