import { literal } from 'sequelize'
import type { Job } from '#shared/schemas/job'
import type { JobModel } from '../database/models'
import { plainRow } from './editableRows'

/** The columns of a job that a person changes. */
export type JobFields = Pick<Job, 'site' | 'siteId' | 'purpose' | 'givenTo' | 'plannedFor' | 'state'>

const columns = plainRow('site', 'siteId', 'purpose', 'givenTo', 'plannedFor', 'state')

/** A job without its applications; no day is a blank. */
export const jobRow = (row: JobModel): Omit<Job, 'applications'> => ({
  ...columns(row),
  plannedFor: row.plannedFor ?? '',
})

/** Those not put in order yet stand last. */
export const BY_DRIVE = literal('drive ASC NULLS LAST')
