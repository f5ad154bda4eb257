import { Op, type Order } from 'sequelize'
import type { JobState } from '#core/job/chain'
import type { Job } from '#shared/schemas/job'
import type { JobModel } from '../database/models'
import { editableRows, type EditableRows } from './editableRows'
import { noteHistory } from './history'
import { jobApplications, type ApplicationFields, type JobApplications } from './jobApplications'
import { jobLists, type JobLists } from './jobLists'
import { BY_DRIVE, jobRow, type JobFields } from './jobRow'
import type { Scope } from './scope'

type JobColumns = Omit<JobFields, 'plannedFor'> & { readonly plannedFor: string | null }

export interface JobsRepository
  extends
    JobLists,
    Pick<JobApplications, 'jobOf'>,
    Pick<EditableRows<Job, JobColumns>, 'find' | 'remove' | 'restore'> {
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
  /** Whatever its version: a state follows from what was run. */
  readonly setState: (id: string, state: JobState) => Promise<void>
}

/** More stops than a truck makes in a day. */
const MOST_OF_DAY = 60
const BY_DAY: Order = [
  ['plannedFor', 'ASC'],
  ['id', 'ASC'],
]

export function jobsRepository(scope: Scope): JobsRepository {
  const { database, organizationId, options } = scope
  const { jobs } = database.models
  const rows = editableRows<JobModel, Omit<Job, 'applications'>, JobColumns>(scope, jobs, jobRow, [
    'plannedFor',
  ])
  const applications = jobApplications(scope)
  const listed = async (where: object, order: Order, limit?: number): Promise<readonly Job[]> =>
    applications.joined(
      (
        await jobs.findAll({
          where: { ...where, organizationId, deletedAt: null },
          order,
          ...(limit !== undefined && { limit }),
          ...options,
        })
      ).map(jobRow),
    )
  const planned = (
    where: object,
    from: string,
    to: string,
    states: readonly JobState[] = ['planned', 'running'],
  ) => listed({ ...where, plannedFor: { [Op.between]: [from, to] }, state: { [Op.in]: states } }, BY_DAY)
  return {
    ...jobLists(scope),
    jobOf: applications.jobOf,
    remove: rows.remove,
    restore: rows.restore,
    find: async (id, lock) => {
      const row = await rows.find(id, lock)
      return row && (await applications.joined([row]))[0]
    },
    ofDay: (day) =>
      listed({ plannedFor: day, state: { [Op.ne]: 'cancelled' } }, [BY_DRIVE, ['id', 'ASC']], MOST_OF_DAY),
    plannedOnSite: (siteId, from, to) => planned({ siteId }, from, to),
    toCome: (from, to) => planned({}, from, to, ['draft', 'planned', 'running']),
    plannedWith: async (productId, from, to) =>
      planned({ id: await applications.jobsWith(productId) }, from, to),
    setDrive: async (ids) => {
      for (const [place, id] of ids.entries())
        await jobs.update({ drive: place + 1 }, { where: { organizationId, id }, silent: true, ...options })
    },
    count: () => jobs.count({ where: { organizationId, deletedAt: null }, ...options }),
    insert: async (id, fields, list) => {
      await rows.insert(id, columnsOf(fields))
      await applications.replace(id, list)
    },
    update: async (id, version, fields, list) => {
      const written = await rows.update(id, version, columnsOf(fields))
      if (written) await applications.replace(id, list)
      return written
    },
    setState: async (id, state) => {
      const [count] = await jobs.update(
        { state, updatedAt: new Date() },
        { where: { organizationId, id }, ...options },
      )
      if (count === 1) await noteHistory(scope, 'jobs', id, 'changed')
    },
  }
}

const columnsOf = ({ plannedFor, ...fields }: JobFields): JobColumns => ({
  ...fields,
  plannedFor: plannedFor === '' ? null : plannedFor,
})
