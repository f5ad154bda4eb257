import { literal, Op, QueryTypes } from 'sequelize'
import type { JobState } from '#core/jobsheet/chain'
import type { ApplicationDocument } from '#core/jobsheet/document'
import type { PlannedSheet } from '#core/jobsheet/plannedSheet'
import type { Job, JobApplication, JobRow } from '#shared/schemas/job'
import type { JobModel } from '../database/models'
import { prefixSearch, type PageWanted, type Scope } from './scope'

/** The columns of a job that a person changes. */
export type JobFields = Pick<Job, 'site' | 'siteId' | 'purpose' | 'plannedFor' | 'state'>
export interface ApplicationFields {
  readonly id: string
  readonly document: ApplicationDocument
  readonly sheet: PlannedSheet | null
}
export interface JobFilter {
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
  readonly setDrive: (ids: readonly string[]) => Promise<void>
  readonly count: () => Promise<number>
  /** With `lock`, the row is held until the transaction ends. */
  readonly find: (id: string, lock?: 'lock') => Promise<Job | undefined>
  readonly jobOf: (applicationId: string) => Promise<string | undefined>
  readonly sheet: (applicationId: string) => Promise<PlannedSheet | null>
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

export function jobsRepository({
  database: { models, sequelize },
  organizationId,
  options,
}: Scope): JobsRepository {
  const { jobs, applications } = models
  const replaceApplications = async (jobId: string, list: readonly ApplicationFields[]) => {
    await applications.destroy({
      where: { organizationId, jobId, id: { [Op.notIn]: list.map(({ id }) => id) } },
      ...options,
    })
    await applications.bulkCreate(
      list.map(({ id, document, sheet }, index) => ({
        organizationId,
        id,
        jobId,
        position: index + 1,
        document,
        sheet,
        updatedAt: new Date(),
      })),
      { updateOnDuplicate: ['position', 'document', 'sheet', 'updatedAt'], ...options },
    )
  }
  const statesOf = async (jobId: string): Promise<ReadonlyMap<string, JobApplication['state']>> => {
    const rows = await sequelize.query<{ id: string; state: JobApplication['state'] }>(
      `SELECT application_id AS id, CASE WHEN bool_or(kind = 'finished') THEN 'done' WHEN
        bool_or(kind = 'started') THEN 'running' ELSE 'planned' END AS state
       FROM run_events WHERE organization_id = :organizationId AND application_id IN (SELECT id
         FROM applications WHERE organization_id = :organizationId AND job_id = :jobId)
       GROUP BY application_id`,
      { type: QueryTypes.SELECT, replacements: { organizationId, jobId }, ...options },
    )
    return new Map(rows.map(({ id, state }) => [id, state]))
  }
  const write = async (fields: object, where: object) => {
    const [count] = await jobs.update(
      { ...fields, updatedAt: new Date() },
      { where: { organizationId, ...where }, ...options },
    )
    return count === 1
  }
  const find: JobsRepository['find'] = async (id, lock) => {
    const job = await jobs.findOne({
      where: { organizationId, id, deletedAt: null },
      ...(lock && options.transaction ? { lock: options.transaction.LOCK.UPDATE } : {}),
      ...options,
    })
    if (!job) return undefined
    const list = await applications.findAll({
      attributes: ['id', 'document'],
      where: { organizationId, jobId: id },
      order: [['position', 'ASC']],
      ...options,
    })
    const states = await statesOf(id)
    return {
      ...jobRow(job),
      version: job.version,
      applications: list.map((row) => ({
        id: row.id,
        document: row.document,
        state: states.get(row.id) ?? 'planned',
      })),
    }
  }
  return {
    page: async ({ words, states, siteId }, { limit, after }) => {
      const search = prefixSearch(words)
      const rows = await sequelize.query<RawJobRow>(
        `SELECT id, site, site_id, purpose, planned_for::text, state, updated_at FROM jobs
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
      return rows.map(({ site_id, planned_for, updated_at, ...row }) => ({
        ...row,
        siteId: site_id,
        plannedFor: planned_for ?? '',
        updatedAt: updated_at.toISOString(),
      }))
    },
    between: async (from, to, states) =>
      (
        await jobs.findAll({
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
      ).map(jobRow),
    count: () => jobs.count({ where: { organizationId, deletedAt: null }, ...options }),
    ofDay: async (day) => {
      const rows = await jobs.findAll({
        attributes: ['id'],
        where: { organizationId, deletedAt: null, plannedFor: day, state: { [Op.ne]: 'cancelled' } },
        order: [BY_DRIVE, ['id', 'ASC']],
        limit: MOST_OF_DAY,
        ...options,
      })
      const found: Job[] = []
      for (const { id } of rows) {
        const job = await find(id)
        if (job) found.push(job)
      }
      return found
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
    sheet: async (applicationId) =>
      (
        await applications.findOne({
          attributes: ['sheet'],
          where: { organizationId, id: applicationId },
          ...options,
        })
      )?.sheet ?? null,
    insert: async (id, fields, list) => {
      await jobs.create({ organizationId, id, ...columns(fields), version: 1 }, options)
      await replaceApplications(id, list)
    },
    update: async (id, version, fields, list) => {
      const written = await write(
        { ...columns(fields), version: version + 1 },
        { id, version, deletedAt: null },
      )
      if (written) await replaceApplications(id, list)
      return written
    },
    setState: async (id, state) => {
      await write({ state }, { id })
    },
    remove: (id, version) =>
      write({ version: version + 1, deletedAt: new Date() }, { id, version, deletedAt: null }),
    restore: (id) => write({ deletedAt: null }, { id, deletedAt: { [Op.ne]: null } }),
  }
}

interface RawJobRow {
  id: string
  site: string
  site_id: string | null
  purpose: string
  planned_for: string | null
  state: JobState
  updated_at: Date
}

const columns = ({ plannedFor, ...fields }: JobFields) => ({
  ...fields,
  plannedFor: plannedFor === '' ? null : plannedFor,
})

const jobRow = ({ id, site, siteId, purpose, plannedFor, state, updatedAt }: JobModel): JobRow => ({
  id,
  site,
  siteId,
  purpose,
  plannedFor: plannedFor ?? '',
  state,
  updatedAt: updatedAt.toISOString(),
})
