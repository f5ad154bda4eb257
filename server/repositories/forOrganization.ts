import { Op, type Transaction } from 'sequelize'
import type { JobState } from '#core/jobsheet/chain'
import type { ApplicationDocument } from '#core/jobsheet/document'
import type { RunRecord } from '#core/run/foldRun'
import type { RunEvent } from '#core/run/runEvent'
import type { Job, JobRow } from '#shared/schemas/job'
import type { RecordRow } from '#shared/schemas/run'
import type { Database } from '../database/connection'
import type { JobModel, RecordModel, RunEventModel } from '../database/models'
import type { PlannedSheet } from '#core/jobsheet/plannedSheet'

/** The columns of a job that a person changes. */
export type JobFields = Pick<Job, 'site' | 'purpose' | 'plannedFor' | 'state'>
export interface ApplicationFields { readonly id: string; readonly document: ApplicationDocument; readonly sheet: PlannedSheet | null }
export interface RecordFields extends RecordRow { readonly document: RunRecord }
/** A place in a list sorted by time, newest first. */
export interface Cursor { readonly at: string; readonly id: string }

/** All queries, every one scoped to one organization; inside `transaction` they share one connection and one fate. */
export interface Repositories {
  readonly transaction: <T>(work: (repositories: Repositories) => Promise<T>) => Promise<T>
  readonly jobs: {
    readonly list: () => Promise<readonly JobRow[]>
    /** With `lock`, the row is held until the transaction ends. */
    readonly find: (id: string, lock?: 'lock') => Promise<Job | undefined>
    readonly sheet: (jobId: string) => Promise<PlannedSheet | null>
    readonly insert: (id: string, fields: JobFields, application: ApplicationFields) => Promise<void>
    /** Writes only over the version that was read; false when that version is no longer there. */
    readonly update: (id: string, version: number, fields: JobFields, application: ApplicationFields) => Promise<boolean>
    readonly setState: (id: string, state: JobState) => Promise<void>
  }
  readonly runs: {
    readonly events: (applicationId: string) => Promise<readonly RunEvent[]>
    /** Appends what is not there yet; an event sent twice is stored once. */
    readonly append: (applicationId: string, events: readonly RunEvent[]) => Promise<void>
  }
  readonly records: {
    readonly page: (limit: number, after: Cursor | undefined) => Promise<readonly RecordRow[]>
    readonly find: (id: string) => Promise<(RecordRow & { readonly document: RunRecord }) | undefined>
    readonly put: (record: RecordFields) => Promise<void>
  }
}

export function forOrganization(database: Database, organizationId: string, transaction?: Transaction): Repositories {
  const options = { transaction: transaction ?? null }
  return {
    transaction: (work) => (transaction
      ? work(forOrganization(database, organizationId, transaction))
      : database.sequelize.transaction((inner) => work(forOrganization(database, organizationId, inner)))),
    jobs: jobsRepository(database, organizationId, options),
    runs: runsRepository(database, organizationId, options),
    records: recordsRepository(database, organizationId, options),
  }
}

interface Options { readonly transaction: Transaction | null }

function jobsRepository({ models }: Database, organizationId: string, options: Options): Repositories['jobs'] {
  const { jobs, applications } = models
  const upsertApplication = async (jobId: string, { id, document, sheet }: ApplicationFields) => {
    await applications.upsert({ organizationId, id, jobId, position: 1, document, sheet, updatedAt: new Date() }, options)
  }
  return {
    list: async () => {
      const rows = await jobs.findAll({
        where: { organizationId, deletedAt: null }, order: [['plannedFor', 'DESC NULLS FIRST'], ['id', 'DESC']], limit: 500, ...options,
      })
      return rows.map(jobRow)
    },
    find: async (id, lock) => {
      const job = await jobs.findOne({ where: { organizationId, id, deletedAt: null }, ...(lock && options.transaction ? { lock: options.transaction.LOCK.UPDATE } : {}), ...options })
      const application = job && await applications.findOne({ where: { organizationId, jobId: id }, order: [['position', 'ASC']], ...options })
      return job && application ? { ...jobRow(job), version: job.version, application: { id: application.id, document: application.document } } : undefined
    },
    sheet: async (jobId) => (await applications.findOne({ where: { organizationId, jobId }, order: [['position', 'ASC']], ...options }))?.sheet ?? null,
    insert: async (id, fields, application) => {
      await jobs.create({ organizationId, id, ...columns(fields), version: 1 }, options)
      await upsertApplication(id, application)
    },
    update: async (id, version, fields, application) => {
      const [count] = await jobs.update(
        { ...columns(fields), version: version + 1, updatedAt: new Date() }, { where: { organizationId, id, version, deletedAt: null }, ...options })
      if (count === 1) await upsertApplication(id, application)
      return count === 1
    },
    setState: async (id, state) => { await jobs.update({ state, updatedAt: new Date() }, { where: { organizationId, id }, ...options }) },
  }
}

function runsRepository({ models }: Database, organizationId: string, options: Options): Repositories['runs'] {
  const { runEvents } = models
  return {
    events: async (applicationId) =>
      (await runEvents.findAll({ where: { organizationId, applicationId }, order: [['counter', 'ASC'], ['deviceId', 'ASC'], ['sequence', 'ASC']], ...options })).map(plainEvent),
    append: async (applicationId, events) => {
      const rows = events.map(({ at, ...event }) => ({ organizationId, applicationId, ...event, at: new Date(at) }))
      await runEvents.bulkCreate(rows, { ignoreDuplicates: true, ...options })
    },
  }
}

function recordsRepository({ models }: Database, organizationId: string, options: Options): Repositories['records'] {
  const { records } = models
  return {
    page: async (limit, after) => {
      const beyond = after && { [Op.or]: [{ finishedAt: { [Op.lt]: new Date(after.at) } }, { finishedAt: new Date(after.at), id: { [Op.lt]: after.id } }] }
      const rows = await records.findAll({
        attributes: { exclude: ['document'] }, where: { organizationId, ...beyond }, order: [['finishedAt', 'DESC'], ['id', 'DESC']], limit, ...options,
      })
      return rows.map(recordRow)
    },
    find: async (id) => {
      const row = await records.findOne({ where: { organizationId, id }, ...options })
      return row ? { ...recordRow(row), document: row.document } : undefined
    },
    put: async ({ finishedAt, ...record }) => { await records.upsert({ organizationId, ...record, finishedAt: new Date(finishedAt), updatedAt: new Date() }, options) },
  }
}

const columns = ({ plannedFor, ...fields }: JobFields) => ({ ...fields, plannedFor: plannedFor === '' ? null : plannedFor })

const jobRow = ({ id, site, purpose, plannedFor, state, updatedAt }: JobModel): JobRow =>
  ({ id, site, purpose, plannedFor: plannedFor ?? '', state, updatedAt: updatedAt.toISOString() })

const plainEvent = ({ id, deviceId, sequence, counter, kind, payload, at }: RunEventModel) =>
  ({ id, deviceId, sequence, counter, kind, payload, at: at.toISOString() }) as RunEvent

const recordRow = ({ id, jobId, site, products, finishedAt, sizeM2, verdict }: RecordModel): RecordRow =>
  ({ id, jobId, site, products, finishedAt: finishedAt.toISOString(), sizeM2, verdict })
