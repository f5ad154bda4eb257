import { literal, Op, QueryTypes } from 'sequelize'
import type { JobState } from '#core/job/chain'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import type { Job, JobApplication, JobRow } from '#shared/schemas/job'
import type { JobModel } from '../database/models'
import { noteHistory } from './history'
import { prefixSearch, type PageWanted, type Scope } from './scope'

/** The columns of a job that a person changes. */
type JobFields = Pick<Job, 'site' | 'siteId' | 'purpose' | 'givenTo' | 'plannedFor' | 'state'>
interface ApplicationFields {
  readonly id: string
  readonly document: ApplicationDraft
}
interface JobFilter {
  readonly words: string
  readonly states: readonly JobState[]
  readonly siteId: string
}

export interface JobsRepository {
  /** Latest day first, undated ones before all. */
  readonly page: (filter: JobFilter, page: PageWanted) => Promise<readonly JobRow[]>
  readonly between: (from: string, to: string, states: readonly JobState[]) => Promise<readonly JobRow[]>
  /** Jobs of one day in driving order, those not put in order yet last. */
  readonly ofDay: (day: string) => Promise<readonly Job[]>
  /** Jobs of a site that are planned or under way, with days from and to. */
  readonly plannedOnSite: (siteId: string, from: string, to: string) => Promise<readonly Job[]>
  /** Every job to come, drafts among them, with days from and to. */
  readonly toCome: (from: string, to: string) => Promise<readonly Job[]>
  /** Planned jobs that use a saved product. */
  readonly plannedWith: (productId: string, from: string, to: string) => Promise<readonly Job[]>
  readonly setDrive: (ids: readonly string[]) => Promise<void>
  readonly count: () => Promise<number>
  /** Who had jobs given to them or carried them out, the latest first. */
  readonly names: () => Promise<readonly string[]>
  /** With `lock`, the row is held until the transaction ends. */
  readonly find: (id: string, lock?: 'lock') => Promise<Job | undefined>
  readonly jobOf: (applicationId: string) => Promise<string | undefined>
  readonly insert: (
    id: string,
    fields: JobFields,
    applications: readonly ApplicationFields[],
  ) => Promise<void>
  /** Writes only over the version that was read; false when that version is no longer there. */
  readonly update: (
    id: string,
    version: number,
    fields: JobFields,
    applications: readonly ApplicationFields[],
  ) => Promise<boolean>
  readonly setState: (id: string, state: JobState) => Promise<void>
  readonly remove: (id: string, version: number) => Promise<boolean>
  readonly restore: (id: string) => Promise<boolean>
}

/** Those not put in order yet stand last. */
const BY_DRIVE = literal('drive ASC NULLS LAST')
/** More stops than a truck makes in a day. */
const MOST_OF_DAY = 60

/** Sorts before every day, so that undated jobs come first in a list that runs backwards. */
const UNDATED = 'infinity'
/** What comes after the place a page ended at. */
const BEYOND = `AND (coalesce(planned_for, '${UNDATED}'), id) < (CAST(:at AS date), CAST(:id AS uuid))`

export function jobsRepository(scope: Scope): JobsRepository {
  const {
    database: { models, sequelize },
    organizationId,
    options,
  } = scope
  const { jobs, applications } = models
  const replaceApplications = async (jobId: string, list: readonly ApplicationFields[]) => {
    await applications.destroy({
      where: { organizationId, jobId, id: { [Op.notIn]: list.map(({ id }) => id) } },
      ...options,
    })
    await applications.bulkCreate(
      list.map(({ id, document }, index) => ({
        organizationId,
        id,
        jobId,
        position: index + 1,
        document,
        updatedAt: new Date(),
      })),
      { updateOnDuplicate: ['position', 'document', 'updatedAt'], ...options },
    )
  }
  /** How far the runs of some jobs have come, by application; what was frozen comes with those that began. */
  const runsOf = async (jobIds: readonly string[]): Promise<ReadonlyMap<string, RunOfApplication>> => {
    const rows = await sequelize.query<RunOfApplication & { readonly id: string }>(
      `SELECT application_id AS id, CASE WHEN bool_or(kind = 'finished') THEN 'done' ELSE 'running'
        END AS state,
         (jsonb_agg(payload) FILTER (WHERE kind = 'planned'))->0 AS frozen
       FROM run_events WHERE organization_id = :organizationId AND application_id IN (SELECT id
         FROM applications WHERE organization_id = :organizationId AND job_id IN (:jobIds))
       GROUP BY application_id HAVING bool_or(kind IN ('started', 'finished'))`,
      { type: QueryTypes.SELECT, replacements: { organizationId, jobIds }, ...options },
    )
    return new Map(rows.map(({ id, state, frozen }) => [id, { state, frozen }]))
  }
  const write = async (
    fields: object,
    where: { readonly id: string } & Readonly<Record<string, unknown>>,
    what: 'changed' | 'deleted' | 'brought back',
  ) => {
    const [count] = await jobs.update(
      { ...fields, updatedAt: new Date() },
      { where: { organizationId, ...where }, ...options },
    )
    if (count === 1) await noteHistory(scope, 'jobs', where.id, what)
    return count === 1
  }
  /** Rows with their applications, in the order of the rows, however many in three questions. */
  const withApplications = async (rows: readonly JobModel[]): Promise<readonly Job[]> => {
    const ids = rows.map(({ id }) => id)
    if (ids.length === 0) return []
    const list = await applications.findAll({
      attributes: ['id', 'jobId', 'document'],
      where: { organizationId, jobId: ids },
      order: [['position', 'ASC']],
      ...options,
    })
    const runs = await runsOf(ids)
    return rows.map((job) => ({
      ...jobRow(job),
      version: job.version,
      applications: list
        .filter(({ jobId }) => jobId === job.id)
        .map(({ id, document }): JobApplication => {
          const run = runs.get(id)
          return run ? { id, document, ...run } : { id, document, state: 'planned' }
        }),
    }))
  }
  const find: JobsRepository['find'] = async (id, lock) => {
    const job = await jobs.findOne({
      where: { organizationId, id, deletedAt: null },
      ...(lock && options.transaction ? { lock: options.transaction.LOCK.UPDATE } : {}),
      ...options,
    })
    return job ? (await withApplications([job]))[0] : undefined
  }
  /** What each of them puts down, for its line in a list; the documents stay where they are. */
  async function withProducts(rows: readonly JobRowFields[]): Promise<readonly JobRow[]> {
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
  /** Planned or running jobs of some days, the earliest first. */
  const plannedWhere = async (
    where: { readonly siteId?: string; readonly id?: string[] },
    from: string,
    to: string,
    states: readonly JobState[] = ['planned', 'running'],
  ): Promise<readonly Job[]> =>
    withApplications(
      await jobs.findAll({
        where: {
          ...where,
          organizationId,
          deletedAt: null,
          plannedFor: { [Op.between]: [from, to] },
          state: { [Op.in]: states },
        },
        order: [
          ['plannedFor', 'ASC'],
          ['id', 'ASC'],
        ],
        ...options,
      }),
    )
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
      return withProducts(rows.map(jobRow))
    },
    count: () => jobs.count({ where: { organizationId, deletedAt: null }, ...options }),
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
    ofDay: async (day) =>
      withApplications(
        await jobs.findAll({
          where: { organizationId, deletedAt: null, plannedFor: day, state: { [Op.ne]: 'cancelled' } },
          order: [BY_DRIVE, ['id', 'ASC']],
          limit: MOST_OF_DAY,
          ...options,
        }),
      ),
    plannedOnSite: (siteId, from, to) => plannedWhere({ siteId }, from, to),
    toCome: (from, to) => plannedWhere({}, from, to, ['draft', 'planned', 'running']),
    plannedWith: async (productId, from, to) => {
      const rows = await sequelize.query<{ id: string }>(
        `SELECT DISTINCT job_id AS id FROM applications
           WHERE organization_id = :organizationId AND document->'products' @> :used::jsonb`,
        {
          type: QueryTypes.SELECT,
          replacements: { organizationId, used: JSON.stringify([{ source: { id: productId } }]) },
          ...options,
        },
      )
      return plannedWhere({ id: rows.map(({ id }) => id) }, from, to)
    },
    setDrive: async (ids) => {
      for (const [place, id] of ids.entries())
        await jobs.update({ drive: place + 1 }, { where: { organizationId, id }, silent: true, ...options })
    },
    find,
    jobOf: async (applicationId) =>
      (
        await applications.findOne({
          attributes: ['jobId'],
          where: { organizationId, id: applicationId },
          ...options,
        })
      )?.jobId,
    insert: async (id, fields, list) => {
      await jobs.create({ organizationId, id, ...columns(fields), version: 1 }, options)
      await replaceApplications(id, list)
      await noteHistory(scope, 'jobs', id, 'made')
    },
    update: async (id, version, fields, list) => {
      const written = await write(
        { ...columns(fields), version: version + 1 },
        { id, version, deletedAt: null },
        'changed',
      )
      if (written) await replaceApplications(id, list)
      return written
    },
    setState: async (id, state) => {
      await write({ state }, { id }, 'changed')
    },
    remove: (id, version) =>
      write({ version: version + 1, deletedAt: new Date() }, { id, version, deletedAt: null }, 'deleted'),
    restore: (id) => write({ deletedAt: null }, { id, deletedAt: { [Op.ne]: null } }, 'brought back'),
  }
}

type RunOfApplication = Required<Pick<JobApplication, 'state' | 'frozen'>>

type JobRowFields = Omit<JobRow, 'methods' | 'products'>

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

const columns = ({ plannedFor, ...fields }: JobFields) => ({
  ...fields,
  plannedFor: plannedFor === '' ? null : plannedFor,
})

const jobRow = ({
  id,
  site,
  siteId,
  purpose,
  givenTo,
  plannedFor,
  state,
  updatedAt,
}: JobModel): JobRowFields => ({
  id,
  site,
  siteId,
  purpose,
  givenTo,
  plannedFor: plannedFor ?? '',
  state,
  updatedAt: updatedAt.toISOString(),
})
