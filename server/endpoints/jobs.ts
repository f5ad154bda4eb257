import * as v from 'valibot'
import { JOB_STATES } from '#core/job/chain'
import { JobFileSchema, SaveDaySchema, SaveJobSchema } from '#shared/schemas/job'
import { RemoveSchema } from '#shared/schemas/library'
import { NewRunEventsSchema } from '#shared/schemas/run'
import { Uuid } from '#core/shape/texts'
import { asFile, defineCrewRoute, found, type Route } from '../http/defineRoute'
import { failure } from '../http/failure'
import { personOf } from '../http/personOf'
import { requestSignal } from '../http/requestSignal'
import { appendRunEvents, readRun } from '../services/appendRunEvents'
import { dayFor, nowFor } from '../services/clock'
import { putInOrder, readDay } from '../services/drivingDay'
import { houseOf } from '../services/houseOf'
import { jobFile } from '../services/jobFile'
import { jobPage } from '../services/jobList'
import { saveJob } from '../services/saveJob'
import { removeRow } from '../services/saveRow'
import { jobDays } from '../services/season/jobDays'
import { After, Units } from './queries'

/** Jobs, the order of their day, and the runs of their applications. */
export const JOB_ROUTES: readonly Route[] = [
  defineCrewRoute({
    path: 'GET /jobs',
    summary: 'Jobs, latest day first; `open` is all that is still to be done',
    query: v.object({
      q: v.optional(v.pipe(v.string(), v.maxLength(200)), ''),
      state: v.optional(v.picklist(['', 'open', ...JOB_STATES]), ''),
      siteId: v.optional(v.union([v.literal(''), Uuid]), ''),
      after: After,
    }),
    handle: ({ repositories, query }) => jobPage(repositories, query),
  }),
  defineCrewRoute({
    path: 'GET /jobs/:id',
    summary: 'One job as entered',
    handle: async ({ repositories, id }) => found(await repositories.jobs.find(id), 'job'),
  }),
  defineCrewRoute({
    path: 'PUT /jobs/:id',
    summary: 'Save a job; 409 carries the row that is stored',
    body: SaveJobSchema,
    fails: [409, 422],
    handle: ({ repositories, organization, id, body, today, event }) => {
      const { local, mixes } = organization.settings
      const house = houseOf(organization)
      return saveJob(repositories, id, body, {
        today,
        house,
        rules: { local, mixes },
        request: requestSignal(event),
      })
    },
  }),
  defineCrewRoute({
    path: 'DELETE /jobs/:id',
    summary: 'Delete a job that was not started: what has been started is history',
    body: RemoveSchema,
    fails: [409],
    handle: async ({ repositories, id, body: { version } }) => {
      await repositories.transaction(async ({ jobs }) => {
        const job = await jobs.find(id, 'lock')
        if (job?.state === 'running' || job?.state === 'done')
          throw failure('locked', 'This job has been started: it stays on record.', job)
        await removeRow(jobs, id, version, 'job')
      })
      return { id }
    },
  }),
  defineCrewRoute({
    path: 'POST /jobs/:id/restore',
    summary: 'Bring a deleted job back',
    deed: 'govern',
    handle: async ({ repositories, id }) => {
      const job = await repositories.transaction(async ({ jobs }) => {
        await jobs.restore(id)
        return jobs.find(id)
      })
      return found(job, 'job')
    },
  }),
  defineCrewRoute({
    path: 'GET /jobs/:id/days',
    summary: 'The days forecast, scored for a job',
    query: v.object({ units: Units }),
    fails: [422],
    handle: ({ repositories, organization, id, query: { units } }) =>
      jobDays(repositories, organization, id, units),
  }),
  defineCrewRoute({
    path: 'GET /jobs/:id/file',
    summary: 'One job as a JSON file: as entered, and what it comes to or was frozen with',
    answer: JobFileSchema,
    handle: async ({ repositories, organization, id, today, event }) => {
      const job = found(await repositories.jobs.find(id), 'job')
      asFile(event, 'application/json; charset=utf-8', 'job.json')
      return jobFile(job, houseOf(organization), today, requestSignal(event))
    },
  }),
  defineCrewRoute({
    path: 'GET /days/:day',
    summary: 'Jobs of a day in driving order',
    fails: [404],
    handle: ({ repositories, event }) => repositories.jobs.ofDay(readDay(event.context.params?.day)),
  }),
  defineCrewRoute({
    path: 'PUT /days/:day',
    summary: 'Put a day in driving order',
    body: SaveDaySchema,
    fails: [404, 409],
    handle: ({ repositories, body: { order }, event }) =>
      putInOrder(repositories, readDay(event.context.params?.day), order),
  }),
  defineCrewRoute({
    path: 'GET /applications/:id/events',
    summary: 'The run of an application',
    handle: async ({ repositories, id }) => found(await readRun(repositories, id), 'application'),
  }),
  defineCrewRoute({
    path: 'POST /applications/:id/events',
    summary: 'Append events of a run; repeats are stored once',
    deed: 'run',
    body: NewRunEventsSchema,
    fails: [409, 422],
    handle: ({ repositories, organization, id, body, event }) =>
      appendRunEvents(repositories, id, body, {
        house: houseOf(organization),
        rules: organization.settings,
        received: nowFor(organization).toISOString(),
        ...personOf(event),
        dayOf: (instant) => dayFor(organization, new Date(instant)),
      }),
  }),
]
