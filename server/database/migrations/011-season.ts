import { run, type Migration } from './migration'

const EDITABLE = `
  document jsonb NOT NULL,
  version integer NOT NULL,
  created_at timestamptz NOT NULL DEFAULT now(),
  updated_at timestamptz NOT NULL DEFAULT now(),
  deleted_at timestamptz,
  PRIMARY KEY (organization_id, id)`

/**
 * Hours of a station (°C, m/s, m, by the clock of the place), programs and where they are applied, and
 * calendar addresses, of which only a hash is kept.
 */
export const season: Migration = {
  name: '011-season',
  up: run([
    `CREATE TABLE weather_hours (
      organization_id uuid NOT NULL, station_id uuid NOT NULL, on_day date NOT NULL,
      hour smallint NOT NULL CHECK (hour BETWEEN 0 AND 23),
      air double precision NOT NULL, humidity double precision, wind double precision, gust double precision,
      rain double precision, chance double precision, forecast boolean NOT NULL,
      PRIMARY KEY (organization_id, station_id, on_day, hour),
      FOREIGN KEY (organization_id, station_id) REFERENCES stations (organization_id, id)
    )`,
    `CREATE TABLE programs (
      organization_id uuid NOT NULL REFERENCES organizations (id), id uuid NOT NULL, name text NOT NULL,
      ${EDITABLE}
    )`,
    `CREATE TABLE area_programs (
      organization_id uuid NOT NULL, id uuid NOT NULL, area_id uuid NOT NULL, program_id uuid NOT NULL,
      ${EDITABLE},
      FOREIGN KEY (organization_id, area_id) REFERENCES areas (organization_id, id),
      FOREIGN KEY (organization_id, program_id) REFERENCES programs (organization_id, id)
    )`,
    'CREATE INDEX area_programs_of_area ON area_programs (organization_id, area_id)',
    `CREATE TABLE calendars (
      organization_id uuid NOT NULL REFERENCES organizations (id), id uuid NOT NULL, name text NOT NULL,
      person_id uuid REFERENCES people (id), site_id uuid, token_hash text NOT NULL UNIQUE,
      created_at timestamptz NOT NULL DEFAULT now(), revoked_at timestamptz,
      PRIMARY KEY (organization_id, id),
      FOREIGN KEY (organization_id, site_id) REFERENCES sites (organization_id, id)
    )`,
  ]),
  down: run([
    'DROP TABLE calendars',
    'DROP TABLE area_programs',
    'DROP TABLE programs',
    'DROP TABLE weather_hours',
  ]),
}
