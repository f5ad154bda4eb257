import { run, type Migration } from './migration'

const EDITABLE = `
  document jsonb NOT NULL,
  version integer NOT NULL,
  created_at timestamptz NOT NULL DEFAULT now(),
  updated_at timestamptz NOT NULL DEFAULT now(),
  deleted_at timestamptz,
  PRIMARY KEY (organization_id, id)`

/** Stations with their days, and readings of a probe on an area. Temperatures in °C, rain in m. */
export const weather: Migration = {
  name: '010-weather',
  up: run([
    `CREATE TABLE stations (
      organization_id uuid NOT NULL REFERENCES organizations (id), id uuid NOT NULL, name text NOT NULL,
      ${EDITABLE}
    )`,
    `CREATE TABLE weather_days (
      organization_id uuid NOT NULL, station_id uuid NOT NULL, on_day date NOT NULL,
      least double precision NOT NULL, most double precision NOT NULL, mean double precision,
      humidity double precision, rain double precision, soil double precision, forecast boolean NOT NULL,
      PRIMARY KEY (organization_id, station_id, on_day),
      FOREIGN KEY (organization_id, station_id) REFERENCES stations (organization_id, id)
    )`,
    `CREATE TABLE probes (
      organization_id uuid NOT NULL, id uuid NOT NULL, area_id uuid NOT NULL, on_day date,
      soil double precision,
      ${EDITABLE},
      FOREIGN KEY (organization_id, area_id) REFERENCES areas (organization_id, id)
    )`,
    'CREATE INDEX probes_of_area ON probes (organization_id, area_id, on_day)',
  ]),
  down: run(['DROP TABLE probes', 'DROP TABLE weather_days', 'DROP TABLE stations']),
}
