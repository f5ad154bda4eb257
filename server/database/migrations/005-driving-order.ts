import { run, type Migration } from './migration'

/** The place of a job among those of its day; null: not put in order yet. */
export const drivingOrder: Migration = {
  name: '005-driving-order',
  up: run([
    'ALTER TABLE jobs ADD COLUMN drive integer',
    'CREATE INDEX jobs_of_day ON jobs (organization_id, planned_for, drive, id) WHERE deleted_at IS NULL',
  ]),
  down: run(['DROP INDEX jobs_of_day', 'ALTER TABLE jobs DROP COLUMN drive']),
}
