import { Op, QueryTypes } from 'sequelize'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import type { Job, JobApplication } from '#shared/schemas/job'
import type { Scope } from './scope'

export interface ApplicationFields {
  readonly id: string
  readonly document: ApplicationDraft
}

/** What is put down in each job: its applications, and how far their runs have come. */
export interface JobApplications {
  readonly replace: (jobId: string, list: readonly ApplicationFields[]) => Promise<void>
  /** Rows with their applications, in the order of the rows, however many in three questions. */
  readonly joined: <Row extends { readonly id: string }>(
    rows: readonly Row[],
  ) => Promise<readonly (Row & Pick<Job, 'applications'>)[]>
  readonly jobOf: (applicationId: string) => Promise<string | undefined>
  /** Ids of the jobs that put down a saved product. */
  readonly jobsWith: (productId: string) => Promise<string[]>
}

type RunOfApplication = Required<Pick<JobApplication, 'state' | 'frozen'>>

export function jobApplications({ database, organizationId, options }: Scope): JobApplications {
  const {
    models: { applications },
    sequelize,
  } = database
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
  return {
    replace: async (jobId, list) => {
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
    },
    joined: async (rows) => {
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
        ...job,
        applications: list
          .filter(({ jobId }) => jobId === job.id)
          .map(({ id, document }): JobApplication => {
            const run = runs.get(id)
            return run ? { id, document, ...run } : { id, document, state: 'planned' }
          }),
      }))
    },
    jobOf: async (id) => {
      const found = await applications.findOne({
        attributes: ['jobId'],
        where: { organizationId, id },
        ...options,
      })
      return found?.jobId
    },
    jobsWith: async (productId) => {
      const rows = await sequelize.query<{ id: string }>(
        `SELECT DISTINCT job_id AS id FROM applications
           WHERE organization_id = :organizationId AND document->'products' @> :used::jsonb`,
        {
          type: QueryTypes.SELECT,
          replacements: { organizationId, used: JSON.stringify([{ source: { id: productId } }]) },
          ...options,
        },
      )
      return rows.map(({ id }) => id)
    },
  }
}
