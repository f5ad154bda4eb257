import { run, type Migration } from './migration'

/**
 * People, the crews they belong to, their sessions and invitations; who changed what. A crew with people is
 * open to nobody else.
 */
export const people: Migration = {
  name: '008-people',
  up: run([
    `CREATE TABLE people (
      id uuid PRIMARY KEY, name text NOT NULL, sign_in text NOT NULL UNIQUE, passphrase text NOT NULL,
      licence text NOT NULL DEFAULT '', licence_ends date, version integer NOT NULL DEFAULT 1,
      failures integer NOT NULL DEFAULT 0, wait_until timestamptz,
      created_at timestamptz NOT NULL DEFAULT now()
    )`,
    `CREATE TABLE memberships (
      organization_id uuid NOT NULL REFERENCES organizations (id),
      person_id uuid NOT NULL REFERENCES people (id),
      role text NOT NULL CHECK (role IN ('owner', 'technician', 'apprentice', 'viewer')),
      created_at timestamptz NOT NULL DEFAULT now(), ended_at timestamptz,
      PRIMARY KEY (organization_id, person_id)
    )`,
    'CREATE INDEX memberships_of_person ON memberships (person_id)',
    `CREATE TABLE sessions (
      id uuid PRIMARY KEY, person_id uuid NOT NULL REFERENCES people (id), device text NOT NULL,
      begun_at timestamptz NOT NULL DEFAULT now(), seen_at timestamptz NOT NULL DEFAULT now(),
      ended_at timestamptz
    )`,
    'CREATE INDEX sessions_of_person ON sessions (person_id) WHERE ended_at IS NULL',
    `CREATE TABLE invitations (
      organization_id uuid NOT NULL REFERENCES organizations (id), id uuid NOT NULL,
      role text NOT NULL CHECK (role IN ('owner', 'technician', 'apprentice', 'viewer')),
      code_hash text NOT NULL UNIQUE, made_by text NOT NULL, ends_at timestamptz NOT NULL,
      used_at timestamptz, created_at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (organization_id, id)
    )`,
    `CREATE TABLE history (
      organization_id uuid NOT NULL REFERENCES organizations (id), id bigint GENERATED ALWAYS AS IDENTITY,
      kind text NOT NULL, row_id uuid NOT NULL, what text NOT NULL,
      person_id uuid, person text NOT NULL, at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (organization_id, id)
    )`,
    'CREATE INDEX history_of_row ON history (organization_id, row_id, id DESC)',
    'CREATE TRIGGER history_append_only BEFORE UPDATE OR DELETE ON history FOR EACH ROW EXECUTE ' +
      'FUNCTION refuse_change()',
    // A crew may be deleted whole by its owner, in the transaction that names it; nothing else passes.
    `CREATE OR REPLACE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN
        IF TG_OP = 'DELETE'
          AND OLD.organization_id::text = current_setting('hectarum.deleting_crew', true) THEN
          RETURN OLD;
        END IF;
        RAISE EXCEPTION '% is append-only', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
      END $$`,
    'ALTER TABLE organizations ADD COLUMN peopled boolean NOT NULL DEFAULT false',
    'ALTER TABLE run_events ADD COLUMN person jsonb',
    'ALTER TABLE run_events DROP CONSTRAINT run_events_kind_check, ADD CONSTRAINT run_events_kind_check ' +
      `CHECK (kind IN ('planned', 'started', 'used', 'finished', 'corrected', 'countersigned'))`,
  ]),
  down: run([
    `CREATE OR REPLACE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN RAISE EXCEPTION '% is append-only', TG_TABLE_NAME USING ERRCODE = 'restrict_violation'; END $$`,
    'ALTER TABLE run_events DISABLE TRIGGER run_events_append_only',
    `DELETE FROM run_events WHERE kind = 'countersigned'`,
    'ALTER TABLE run_events ENABLE TRIGGER run_events_append_only',
    'ALTER TABLE run_events DROP CONSTRAINT run_events_kind_check, ADD CONSTRAINT run_events_kind_check ' +
      `CHECK (kind IN ('planned', 'started', 'used', 'finished', 'corrected'))`,
    'ALTER TABLE run_events DROP COLUMN person',
    'ALTER TABLE organizations DROP COLUMN peopled',
    'DROP TABLE history',
    'DROP TABLE invitations',
    'DROP TABLE sessions',
    'DROP TABLE memberships',
    'DROP TABLE people',
  ]),
}
