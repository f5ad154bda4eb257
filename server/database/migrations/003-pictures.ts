import { run, type Migration } from './migration'

/** Pictures a crew brings, such as the plan of a site to trace; never changed, a new one has a new id. */
export const pictures: Migration = {
  name: '003-pictures',
  up: run([
    `CREATE TABLE attachments (
      organization_id uuid NOT NULL REFERENCES organizations (id), id uuid NOT NULL,
      media_type text NOT NULL CHECK (media_type IN ('image/png', 'image/jpeg')), width integer NOT
        NULL, height integer NOT NULL,
      digest text NOT NULL, bytes bytea NOT NULL CHECK (octet_length(bytes) <= 10485760), at
        timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (organization_id, id)
    )`,
    // Pictures are packed already: compressing them again costs time and gains nothing.
    'ALTER TABLE attachments ALTER COLUMN bytes SET STORAGE EXTERNAL',
  ]),
  down: run(['DROP TABLE attachments']),
}
