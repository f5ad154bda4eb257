import { run, type Migration } from './migration'

export const firstChain: Migration = {
  name: '001-organizations-jobs-runs-records',
  up: run([
    `CREATE TABLE organizations (
      id uuid PRIMARY KEY,
      name text NOT NULL,
      kind text NOT NULL CHECK (kind IN ('sample', 'own')),
      licence text NOT NULL DEFAULT '',
      units text NOT NULL,
      time_zone text NOT NULL,
      clock_shift bigint NOT NULL DEFAULT 0,
      created_at timestamptz NOT NULL DEFAULT now()
    )`,
    `CREATE UNIQUE INDEX one_sample_organization ON organizations (kind) WHERE kind = 'sample'`,
    `CREATE TABLE jobs (
      organization_id uuid NOT NULL REFERENCES organizations (id),
      id uuid NOT NULL,
      site text NOT NULL,
      purpose text NOT NULL,
      planned_for date,
      state text NOT NULL CHECK (state IN ('draft', 'planned', 'running', 'done', 'cancelled')),
      version integer NOT NULL,
      created_at timestamptz NOT NULL DEFAULT now(),
      updated_at timestamptz NOT NULL DEFAULT now(),
      deleted_at timestamptz,
      PRIMARY KEY (organization_id, id)
    )`,
    'CREATE INDEX jobs_by_day ON jobs (organization_id, planned_for DESC NULLS FIRST, id DESC) WHERE ' +
      'deleted_at IS NULL',
    `CREATE TABLE applications (
      organization_id uuid NOT NULL,
      id uuid NOT NULL,
      job_id uuid NOT NULL,
      position integer NOT NULL,
      document jsonb NOT NULL,
      sheet jsonb,
      updated_at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (organization_id, id),
      UNIQUE (organization_id, job_id, position),
      FOREIGN KEY (organization_id, job_id) REFERENCES jobs (organization_id, id)
    )`,
    `CREATE TABLE run_events (
      organization_id uuid NOT NULL,
      id uuid NOT NULL,
      application_id uuid NOT NULL,
      device_id uuid NOT NULL,
      sequence integer NOT NULL,
      counter integer NOT NULL,
      kind text NOT NULL CHECK (kind IN ('planned', 'started', 'used', 'finished', 'corrected')),
      payload jsonb NOT NULL,
      at timestamptz NOT NULL,
      received_at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (organization_id, id),
      UNIQUE (organization_id, application_id, device_id, sequence),
      FOREIGN KEY (organization_id, application_id) REFERENCES applications (organization_id, id)
    )`,
    `CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN RAISE EXCEPTION '% is append-only', TG_TABLE_NAME USING ERRCODE = 'restrict_violation'; END $$`,
    'CREATE TRIGGER run_events_append_only BEFORE UPDATE OR DELETE ON run_events FOR EACH ROW ' +
      'EXECUTE FUNCTION refuse_change()',
    `CREATE TABLE records (
      organization_id uuid NOT NULL,
      id uuid NOT NULL,
      job_id uuid NOT NULL,
      site text NOT NULL,
      products text NOT NULL,
      finished_at timestamptz NOT NULL,
      size_m2 double precision NOT NULL,
      verdict text NOT NULL,
      document jsonb NOT NULL,
      updated_at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (organization_id, id),
      FOREIGN KEY (organization_id, id) REFERENCES applications (organization_id, id),
      FOREIGN KEY (organization_id, job_id) REFERENCES jobs (organization_id, id)
    )`,
    `CREATE INDEX records_by_time ON records (organization_id, finished_at DESC, id DESC)`,
  ]),
  down: run([
    'DROP TABLE records',
    'DROP TABLE run_events',
    'DROP FUNCTION refuse_change()',
    'DROP TABLE applications',
    'DROP TABLE jobs',
    'DROP TABLE organizations',
  ]),
}
