import { run, type Migration } from './migration'

/**
 * Tests of a machine that are no calibration of a rate: tray patterns of spreaders, nozzle checks of
 * sprayers.
 */
export const trials: Migration = {
  name: '004-trials',
  up: run([
    `CREATE TABLE trials (
      organization_id uuid NOT NULL, id uuid NOT NULL, equipment_id uuid NOT NULL, on_day date,
      document jsonb NOT NULL, version integer NOT NULL DEFAULT 1, created_at timestamptz NOT NULL
        DEFAULT now(), updated_at timestamptz NOT NULL DEFAULT now(), deleted_at timestamptz,
      PRIMARY KEY (organization_id, id),
      FOREIGN KEY (organization_id, equipment_id) REFERENCES equipment (organization_id, id)
    )`,
    'CREATE INDEX trials_of_equipment ON trials (organization_id, equipment_id, on_day DESC, id)',
  ]),
  down: run(['DROP TABLE trials']),
}
