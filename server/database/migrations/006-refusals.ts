import { run, type Migration } from './migration'

/**
 * Which jobs a stop kept from being planned or run. A plan is kept once, with the event that froze it: the
 * copies beside the drafts go. What was put down keeps how long it works.
 */
export const refusals: Migration = {
  name: '006-refusals',
  up: run([
    `CREATE TABLE refusals (
        organization_id uuid NOT NULL REFERENCES organizations (id) ON DELETE CASCADE,
        id bigint GENERATED ALWAYS AS IDENTITY,
        application_id uuid NOT NULL,
        code text NOT NULL,
        message text NOT NULL,
        at timestamptz NOT NULL,
        PRIMARY KEY (organization_id, id))`,
    'CREATE INDEX refusals_newest ON refusals (organization_id, at DESC)',
    'ALTER TABLE applications DROP COLUMN sheet',
    'ALTER TABLE trials RENAME TO bench_tests',
    'ALTER TABLE laid_down ADD COLUMN lasts_days double precision',
  ]),
  down: run([
    'ALTER TABLE applications ADD COLUMN sheet jsonb',
    'DROP TABLE refusals',
    'ALTER TABLE laid_down DROP COLUMN lasts_days',
    'ALTER TABLE bench_tests RENAME TO trials',
  ]),
}
