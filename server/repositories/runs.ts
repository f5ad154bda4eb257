import { Op, QueryTypes } from 'sequelize'
import type { RunEvent } from '#core/run/runEvent'
import type { RunningApplication } from '#shared/schemas/today'
import type { RunEventModel } from '../database/models'
import type { Scope } from './scope'

export interface RunsRepository {
  readonly events: (applicationId: string) => Promise<readonly RunEvent[]>
  /** Appends all or fails: what is not stored must not be taken for stored. */
  readonly append: (applicationId: string, events: readonly RunEvent[]) => Promise<void>
  /** Which of these ids belong to events of other runs. */
  readonly elsewhere: (applicationId: string, ids: readonly string[]) => Promise<ReadonlySet<string>>
  readonly running: () => Promise<readonly RunningApplication[]>
}

export function runsRepository({
  database: {
    models: { runEvents },
    sequelize,
  },
  organizationId,
  options,
}: Scope): RunsRepository {
  return {
    events: async (applicationId) =>
      (
        await runEvents.findAll({
          where: { organizationId, applicationId },
          order: [
            ['counter', 'ASC'],
            ['deviceId', 'ASC'],
            ['sequence', 'ASC'],
          ],
          ...options,
        })
      ).map(plain),
    append: async (applicationId, events) => {
      const rows = events.map(({ at, deviceAt, ...event }) => ({
        organizationId,
        applicationId,
        ...event,
        at: new Date(at),
        deviceAt: deviceAt === undefined ? null : new Date(deviceAt),
      }))
      await runEvents.bulkCreate(rows, options)
    },
    elsewhere: async (applicationId, ids) => {
      const rows = await runEvents.findAll({
        attributes: ['id'],
        where: { organizationId, id: [...ids], applicationId: { [Op.ne]: applicationId } },
        ...options,
      })
      return new Set(rows.map(({ id }) => id))
    },
    running: async () => {
      const rows = await sequelize.query<{
        job_id: string
        id: string
        site: string
        purpose: string
        products: string | null
        started_at: Date
        place: number
      }>(
        `SELECT j.id AS job_id, a.id, a.position AS place, j.site, j.purpose, e.at AS started_at,
           (SELECT string_agg(p->>'name', ', ') FROM
             jsonb_array_elements(a.document->'products') p) AS products
         FROM jobs j JOIN applications a ON a.organization_id = j.organization_id AND a.job_id = j.id
         JOIN run_events e ON e.organization_id = a.organization_id AND e.application_id = a.id
           AND e.kind = 'started'
         WHERE j.organization_id = :organizationId AND j.state = 'running' AND j.deleted_at IS NULL
           AND NOT EXISTS (SELECT 1 FROM run_events f WHERE f.organization_id =
             a.organization_id AND f.application_id = a.id AND f.kind = 'finished')
         ORDER BY e.at, a.id`,
        { type: QueryTypes.SELECT, replacements: { organizationId }, ...options },
      )
      return rows.map(({ job_id, id, place, site, purpose, products, started_at }) => ({
        jobId: job_id,
        place,
        applicationId: id,
        site,
        purpose,
        products: products ?? '',
        startedAt: started_at.toISOString(),
      }))
    },
  }
}

const plain = ({ id, deviceId, sequence, counter, kind, payload, at, deviceAt, person }: RunEventModel) =>
  ({
    id,
    deviceId,
    sequence,
    counter,
    kind,
    payload,
    at: at.toISOString(),
    ...(deviceAt && { deviceAt: deviceAt.toISOString() }),
    ...(person && { person }),
  }) as RunEvent
