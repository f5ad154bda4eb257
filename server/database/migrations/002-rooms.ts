import { run, type Migration } from './migration'

/** What every editable row carries beside its own columns. */
const EDITABLE = `
  document jsonb NOT NULL,
  version integer NOT NULL,
  created_at timestamptz NOT NULL DEFAULT now(),
  updated_at timestamptz NOT NULL DEFAULT now(),
  deleted_at timestamptz,
  PRIMARY KEY (organization_id, id)`

const appendOnly = (table: string) =>
  `CREATE TRIGGER ${table}_append_only BEFORE UPDATE OR DELETE ON ${table} FOR EACH ROW EXECUTE ` +
  'FUNCTION refuse_change()'

const TABLES = [
  'laid_down',
  'stock_movements',
  'calibrations',
  'products',
  'equipment',
  'area_sizes',
  'areas',
  'sites',
]

/**
 * Sites, equipment, products; the ledger of what was laid down; records that can be searched; settings of a
 * crew.
 */
export const rooms: Migration = {
  name: '002-rooms',
  up: run([
    // Trusted extension of PostgreSQL's own package: lets one index hold the organization and the words.
    'CREATE EXTENSION IF NOT EXISTS btree_gin',
    `ALTER TABLE organizations ADD COLUMN settings jsonb NOT NULL DEFAULT '{}', ADD COLUMN version ` +
      'integer NOT NULL DEFAULT 1',
    'ALTER TABLE organizations DROP CONSTRAINT organizations_kind_check, ADD CONSTRAINT ' +
      `organizations_kind_check CHECK (kind IN ('sample', 'own', 'retired'))`,
    `CREATE TABLE sites (
      organization_id uuid NOT NULL REFERENCES organizations (id), id uuid NOT NULL, name text NOT
        NULL, place text NOT NULL,
      search tsvector GENERATED ALWAYS AS (to_tsvector('simple', name || ' ' || place)) STORED, ${EDITABLE}
    )`,
    'CREATE INDEX sites_by_name ON sites (organization_id, lower(name), id) WHERE deleted_at IS NULL',
    'CREATE INDEX sites_by_word ON sites USING gin (organization_id, search) WHERE deleted_at IS NULL',
    `CREATE TABLE areas (
      organization_id uuid NOT NULL, id uuid NOT NULL, site_id uuid NOT NULL, name text NOT NULL,
        position integer NOT NULL,
      size_m2 double precision, sd_m2 double precision,
      search tsvector GENERATED ALWAYS AS (to_tsvector('simple', name)) STORED, ${EDITABLE},
      FOREIGN KEY (organization_id, site_id) REFERENCES sites (organization_id, id)
    )`,
    'CREATE INDEX areas_of_site ON areas (organization_id, site_id, position, id)',
    'CREATE INDEX areas_by_word ON areas USING gin (organization_id, search) WHERE deleted_at IS NULL',
    `CREATE TABLE area_sizes (
      organization_id uuid NOT NULL, id uuid NOT NULL, area_id uuid NOT NULL, on_day date NOT NULL,
        size_m2 double precision NOT NULL, sd_m2 double precision NOT NULL,
      notes jsonb NOT NULL, at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (organization_id, id), FOREIGN KEY (organization_id, area_id) REFERENCES areas
        (organization_id, id)
    )`,
    'CREATE INDEX area_sizes_of_area ON area_sizes (organization_id, area_id, at DESC)',
    appendOnly('area_sizes'),
    `CREATE TABLE equipment (
      organization_id uuid NOT NULL REFERENCES organizations (id), id uuid NOT NULL, name text NOT
        NULL, kind text NOT NULL CHECK (kind IN ('spreader', 'sprayer', 'tool')),
      search tsvector GENERATED ALWAYS AS (to_tsvector('simple', name)) STORED, ${EDITABLE}
    )`,
    'CREATE INDEX equipment_by_word ON equipment USING gin (organization_id, search) WHERE ' +
      'deleted_at IS NULL',
    `CREATE TABLE products (
      organization_id uuid NOT NULL REFERENCES organizations (id), id uuid NOT NULL, name text NOT
        NULL, kind text NOT NULL,
      search tsvector GENERATED ALWAYS AS (to_tsvector('simple', name || ' ' || kind)) STORED, ${EDITABLE}
    )`,
    'CREATE INDEX products_by_word ON products USING gin (organization_id, search) WHERE deleted_at ' +
      'IS NULL',
    `CREATE TABLE calibrations (
      organization_id uuid NOT NULL, id uuid NOT NULL, equipment_id uuid NOT NULL, on_day date,
        product text NOT NULL, per_pass double precision, ${EDITABLE},
      FOREIGN KEY (organization_id, equipment_id) REFERENCES equipment (organization_id, id)
    )`,
    'CREATE INDEX calibrations_of_equipment ON calibrations (organization_id, equipment_id, on_day ' +
      'DESC, id)',
    `CREATE TABLE stock_movements (
      organization_id uuid NOT NULL, id uuid NOT NULL, product_id uuid NOT NULL, kind text NOT NULL
        CHECK (kind IN ('received', 'used', 'counted', 'disposed')),
      dimension text NOT NULL CHECK (dimension IN ('mass', 'volume')), amount double precision NOT
        NULL, entered jsonb NOT NULL, lot text NOT NULL, remarks text NOT NULL,
      application_id uuid, on_day date NOT NULL, at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (organization_id, id),
      FOREIGN KEY (organization_id, product_id) REFERENCES products (organization_id, id),
      FOREIGN KEY (organization_id, application_id) REFERENCES applications (organization_id, id)
    )`,
    'CREATE INDEX stock_movements_of_product ON stock_movements (organization_id, product_id, on_day ' +
      'DESC, id)',
    appendOnly('stock_movements'),
    `CREATE TABLE laid_down (
      organization_id uuid NOT NULL, id uuid NOT NULL, application_id uuid NOT NULL, site_id uuid,
        area_id uuid NOT NULL, product_id uuid NOT NULL, source_id uuid,
      product text NOT NULL, active text NOT NULL, groups text NOT NULL, on_day date NOT NULL,
      dimension text NOT NULL CHECK (dimension IN ('mass', 'volume')), amount double precision NOT
        NULL, size_m2 double precision NOT NULL,
      n_kg double precision, p2o5_kg double precision, k2o_kg double precision, fe_kg double
        precision, repeat_days double precision,
      at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (organization_id, id),
      FOREIGN KEY (organization_id, application_id) REFERENCES applications (organization_id, id),
      FOREIGN KEY (organization_id, site_id) REFERENCES sites (organization_id, id)
    )`,
    'CREATE INDEX laid_down_of_area ON laid_down (organization_id, area_id, on_day DESC)',
    'CREATE INDEX laid_down_of_site ON laid_down (organization_id, site_id, on_day DESC)',
    'CREATE INDEX laid_down_repeats ON laid_down (organization_id, on_day) WHERE repeat_days IS NOT NULL',
    appendOnly('laid_down'),
    `ALTER TABLE jobs ADD COLUMN site_id uuid, ADD FOREIGN KEY (organization_id, site_id)
        REFERENCES sites (organization_id, id),
      ADD COLUMN search tsvector GENERATED ALWAYS AS (to_tsvector('simple', site || ' ' || purpose)) STORED`,
    'CREATE INDEX jobs_of_site ON jobs (organization_id, site_id, planned_for DESC) WHERE deleted_at ' +
      'IS NULL',
    'CREATE INDEX jobs_by_word ON jobs USING gin (organization_id, search) WHERE deleted_at IS NULL',
    `CREATE INDEX jobs_running ON jobs (organization_id) WHERE state = 'running' AND deleted_at IS NULL`,
    // Reordering the applications of a job passes through the same place twice.
    `ALTER TABLE applications DROP CONSTRAINT applications_organization_id_job_id_position_key`,
    'ALTER TABLE applications ADD CONSTRAINT applications_in_order UNIQUE (organization_id, job_id, ' +
      'position) DEFERRABLE INITIALLY DEFERRED',
    `ALTER TABLE records ADD COLUMN site_id uuid, ADD FOREIGN KEY (organization_id, site_id)
        REFERENCES sites (organization_id, id),
      ADD COLUMN done_by text NOT NULL DEFAULT '', ADD COLUMN targets text NOT NULL DEFAULT '', ADD
        COLUMN reentry_until timestamptz`,
    `UPDATE records SET done_by = coalesce(document->'details'->>'by', ''), targets = ` +
      `coalesce(document->'details'->>'target', '')`,
    `ALTER TABLE records ADD COLUMN search tsvector GENERATED ALWAYS AS (to_tsvector('simple', site ` +
      `|| ' ' || products || ' ' || done_by || ' ' || targets)) STORED`,
    'CREATE INDEX records_by_word ON records USING gin (organization_id, search)',
    'CREATE INDEX records_by_site ON records (organization_id, lower(site), id)',
    'CREATE INDEX records_by_verdict ON records (organization_id, verdict, finished_at DESC, id DESC)',
    'CREATE INDEX records_of_site ON records (organization_id, site_id, finished_at DESC, id DESC)',
    'CREATE INDEX records_reentry ON records (organization_id, reentry_until) WHERE reentry_until IS ' +
      'NOT NULL',
  ]),
  down: run([
    'DROP INDEX records_by_word, records_by_site, records_by_verdict, records_of_site, records_reentry',
    'ALTER TABLE records DROP COLUMN search, DROP COLUMN site_id, DROP COLUMN done_by, DROP COLUMN ' +
      'targets, DROP COLUMN reentry_until',
    'ALTER TABLE applications DROP CONSTRAINT applications_in_order',
    'ALTER TABLE applications ADD CONSTRAINT applications_organization_id_job_id_position_key UNIQUE ' +
      '(organization_id, job_id, position)',
    'DROP INDEX jobs_of_site, jobs_by_word, jobs_running',
    'ALTER TABLE jobs DROP COLUMN search, DROP COLUMN site_id',
    ...TABLES.map((table) => `DROP TABLE ${table}`),
    `UPDATE organizations SET kind = 'own' WHERE kind = 'retired'`,
    'ALTER TABLE organizations DROP CONSTRAINT organizations_kind_check, ADD CONSTRAINT ' +
      `organizations_kind_check CHECK (kind IN ('sample', 'own'))`,
    'ALTER TABLE organizations DROP COLUMN settings, DROP COLUMN version',
    'DROP EXTENSION btree_gin',
  ]),
}
